<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

/**
 * What counts as a text that somebody wrote: Unicode, without the signs that steer a terminal, a page or the direction
 * of what follows. Those make a name read as another.
 */
final class Plain
{
    /** Control signs but for the end of a line and the tab; what turns the direction of writing or ends a paragraph. */
    private const STEERS =
        '/[\x{00}-\x{08}\x{0B}\x{0C}\x{0E}-\x{1F}\x{7F}-\x{9F}\x{2028}-\x{202E}'.'\x{2066}-\x{2069}]/u';

    public static function isText(string $text): bool
    {
        return preg_match(self::STEERS, $text) === 0;
    }

    /** A name, a note: one line. */
    public static function isLine(string $text): bool
    {
        return self::isText($text) && strpbrk($text, "\r\n") === false;
    }
}
