<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

/** Which repair of a house: what is done, and at what. */
final readonly class RepairId
{
    public string $text;

    /** @param  list<string>  $of  point, part, supply, setting; both points of a pair; none for the house as such */
    private function __construct(public string $kind, public array $of, string $joined)
    {
        $this->text = $kind.($joined === '' ? '' : ":{$joined}");
    }

    public static function house(string $kind): self
    {
        return new self($kind, [], '');
    }

    /** "screw:A3.near" */
    public static function at(string $kind, string $subject): self
    {
        return $subject === '' ? self::house($kind) : new self($kind, [$subject], $subject);
    }

    /**
     * The same for a pair whichever of it is named first.
     *
     * @param  list<string>  $ends
     */
    public static function pair(string $kind, array $ends): self
    {
        sort($ends, SORT_NATURAL);

        return new self($kind, $ends, implode('~', $ends));
    }

    /** @param  list<string>  $loads  that one fault is of */
    public static function loads(string $kind, array $loads): self
    {
        return new self($kind, $loads, implode('+', $loads));
    }
}
