<?php

declare(strict_types=1);

namespace App\Handover;

use DOMDocument;
use DOMElement;
use DOMNode;

/**
 * A long sheet as several: what draws a page holds every cell of a document in memory, so a long record is drawn some
 * rows at a time. A heading goes with what follows it; a table that is cut begins with its own head again.
 */
final class Pieces
{
    /** Rows of one piece: what they take is a third of a worker's memory. */
    private const ROWS = 200;

    /** Rows that a table keeps whole. */
    private const WHOLE = 100;

    /** @return list<string> documents, each with the head of the whole */
    public static function of(string $html): array
    {
        $whole = new DOMDocument();
        @$whole->loadHTML($html, LIBXML_NONET);
        $body = $whole->getElementsByTagName('body')->item(0);
        if (! ($body instanceof DOMElement) || self::rows($body) <= self::ROWS) {
            return [$html];
        }
        $parts = [];
        foreach (iterator_to_array($body->childNodes) as $node) {
            array_push($parts, ...self::cut($node));
        }
        $pieces = [];
        $piece = [];
        $rows = 0;
        foreach ($parts as $number => $part) {
            // A heading is looked at together with what it is of.
            $with = self::isHeading($part) ? self::rows($parts[$number + 1] ?? $part) : 0;
            if ($piece !== [] && $rows + self::rows($part) + $with > self::ROWS && ! self::isHeading(end($piece))) {
                $pieces[] = self::document($whole, $body, $piece);
                [$piece, $rows] = [[], 0];
            }
            $piece[] = $part;
            $rows += self::rows($part);
        }
        $pieces[] = self::document($whole, $body, $piece);

        return $pieces;
    }

    /** @return list<DOMNode> a table in tables of some rows each; anything else as it is */
    private static function cut(DOMNode $node): array
    {
        if (! ($node instanceof DOMElement) || $node->tagName !== 'table' || self::rows($node) <= self::WHOLE) {
            return [$node];
        }
        $rows = iterator_to_array($node->getElementsByTagName('tr'));
        $head = $rows[0]->getElementsByTagName('th')->length > 0 ? array_shift($rows) : null;
        $tables = [];
        foreach (array_chunk($rows, self::WHOLE) as $some) {
            $table = $node->cloneNode();
            $head === null || $table->appendChild($head->cloneNode(true));
            foreach ($some as $row) {
                $table->appendChild($row->cloneNode(true));
            }
            $tables[] = $table;
        }

        return $tables;
    }

    /** What a part takes: each of its rows, or one. */
    private static function rows(DOMNode $part): int
    {
        return $part instanceof DOMElement
            ? max($part->getElementsByTagName('tr')->length + $part->getElementsByTagName('p')->length, 1)
            : 0;
    }

    private static function isHeading(DOMNode $part): bool
    {
        return $part instanceof DOMElement && preg_match('/^h\d$/', $part->tagName) === 1;
    }

    /** @param  list<DOMNode>  $parts */
    private static function document(DOMDocument $whole, DOMElement $body, array $parts): string
    {
        while ($body->firstChild !== null) {
            $body->removeChild($body->firstChild);
        }
        foreach ($parts as $part) {
            $body->appendChild($part);
        }

        return (string) $whole->saveHTML();
    }
}
