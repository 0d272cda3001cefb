<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Entry;

use Unionbit\Core\Terminal\Place;

/** The places of a house in a typed line, by what they are called there. */
final class PlaceWords
{
    /**
     * Places that the text names, in the order in which it names them; a longer name goes before a part of it.
     *
     * @param  array<string, list<string>>  $names
     * @return list<Place>
     */
    public static function found(string $text, array $names): array
    {
        $words = [];
        foreach ($names as $place => $called) {
            foreach ($called as $name) {
                $words[] = [mb_strtolower($name), Place::from($place)];
            }
        }
        usort($words, static fn (array $a, array $b): int => mb_strlen($b[0]) <=> mb_strlen($a[0]));
        $at = [];
        foreach ($words as [$name, $place]) {
            $position = $name === '' ? false : mb_strpos($text, $name);
            if ($position !== false && ! in_array($place, $at, true)) {
                $at[$position] = $place;
                $text = str_replace($name, str_repeat("\x01", mb_strlen($name)), $text);
            }
        }
        ksort($at);

        return array_values($at);
    }
}
