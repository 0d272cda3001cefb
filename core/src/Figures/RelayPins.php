<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

/**
 * The numbers on the installer's own relay: "7-8 1-3 4-6", its coil first, then each normally open contact. What is not
 * written so is left out, and the drawing names coil and contacts by what they do.
 */
final readonly class RelayPins
{
    /** @param  list<string>  $contacts */
    private function __construct(public string $coil, public array $contacts)
    {
    }

    public static function of(string $written): self
    {
        preg_match_all('/([A-Za-z0-9]{1,3})\s*[-–\/]\s*([A-Za-z0-9]{1,3})/u', $written, $pairs, PREG_SET_ORDER);
        $said = array_map(static fn (array $pair): string => "{$pair[1]}–{$pair[2]}", $pairs);

        return new self($said[0] ?? '', array_slice($said, 1));
    }
}
