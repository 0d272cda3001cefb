<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

/** Insulation colours found in thermostat cable. */
enum Colour: string
{
    case Red = 'red';
    case White = 'white';
    case Green = 'green';
    case Yellow = 'yellow';
    case Blue = 'blue';
    case Orange = 'orange';
    case Brown = 'brown';
    case Black = 'black';
    case Pink = 'pink';
    case Tan = 'tan';
    case Grey = 'grey';
    case Purple = 'purple';

    /** Reads a name or one of the abbreviations that installers write; null where it is none of them. */
    public static function tryParse(string $word): ?self
    {
        $word = strtolower(trim($word));

        return self::tryFrom($word) ??
            match ($word) {
                'rd', 'r' => self::Red,
                'wh', 'wht', 'w' => self::White,
                'gn', 'grn', 'g' => self::Green,
                'ye', 'yel', 'ylw', 'y' => self::Yellow,
                'bl', 'blu' => self::Blue,
                'or', 'org', 'orn', 'o' => self::Orange,
                'br', 'brn', 'bn' => self::Brown,
                'bk', 'blk' => self::Black,
                'pk', 'pnk' => self::Pink,
                'tn' => self::Tan,
                'gy', 'gry', 'gray' => self::Grey,
                'pu', 'pur', 'vio', 'violet' => self::Purple,
                default => null,
            };
    }

    /** @return list<string> every colour's name, in the order in which cables use them */
    public static function names(): array
    {
        return array_map(static fn (self $colour): string => $colour->value, self::cases());
    }
}
