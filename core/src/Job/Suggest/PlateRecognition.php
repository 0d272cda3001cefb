<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Suggest;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;

/**
 * What the letters of an old plate make likely: suggestions, each with the letters it rests on and what to check.
 * A letter is never evidence (MR01); the equipment decides.
 */
final class PlateRecognition
{
    /**
     * @param  list<string>  $printed  letters found on the plate
     * @return list<array{title: string, because: string, check: string, answers: array<string, string>}>
     */
    public static function suggest(array $printed): array
    {
        $has = [];
        foreach ($printed as $letter) {
            $name = Vocabulary::resolve($letter, Place::Wall, true)->name;
            if ($name !== null) {
                $has[$name->value] = $letter;
            }
        }
        $found = static fn (TerminalName ...$names): array => array_values(
            array_filter(array_map(static fn (TerminalName $n): ?string => $has[$n->value] ?? null, $names)),
        );

        return array_values(
            array_filter([
                self::valve($found),
                self::stages($found),
                self::system($found),
                self::supplies($found),
                self::power($found, $printed),
                self::bus($printed),
            ]),
        );
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @return ?array{title: string, because: string, check: string, answers: array<string, string>}
     */
    private static function valve(callable $found): ?array
    {
        $o = $found(TerminalName::O);
        $b = $found(TerminalName::B);
        if ($o !== [] && $b !== []) {
            return self::said(
                'A plate for either valve: O and B side by side',
                [...$o, ...$b],
                'Only the one with a conductor matters. One on B alone may be the common: prove it at the equipment (SC13).',
                ['outdoor' => 'reverses'],
            );
        }
        if ($o !== [] || $found(TerminalName::OB) !== []) {
            return self::said(
                'Likely a heat pump',
                [...$o, ...$found(TerminalName::OB)],
                'Look for a reversing valve and a defrost board outdoors; read O or B from that board.',
                ['outdoor' => 'reverses', ...$o === [] ? [] : ['valve' => 'O']],
            );
        }
        if ($b !== []) {
            return self::said(
                'B: a reversing valve energised in heating, or the common',
                $b,
                'Power off, lift it, read ohms to C or R: about 0 is the common, about 17 Ω a valve (SC13).',
                [],
            );
        }

        return null;
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @return ?array{title: string, because: string, check: string, answers: array<string, string>}
     */
    private static function stages(callable $found): ?array
    {
        $cool = $found(TerminalName::Y2);
        // W2 with no W beside it is auxiliary heat or a reuse, not a second stage.
        $heat = $found(TerminalName::W1) === [] ? [] : $found(TerminalName::W2);

        return $cool === [] && $heat === []
            ? null
            : self::said(
                match (true) {
                    $cool !== [] && $heat !== [] => 'Two stages of heating and of cooling',
                    $cool !== [] => 'Two compressor stages',
                    default => 'Two stages of heat',
                },
                [...$cool, ...$heat],
                'Look for the second input on the board: a screw on the plate can be empty, or carry something else.',
                [...$cool === [] ? [] : ['coolStages' => '2'], ...$heat === [] ? [] : ['heatStages' => '2']],
            );
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @return ?array{title: string, because: string, check: string, answers: array<string, string>}
     */
    private static function system(callable $found): ?array
    {
        $cool = $found(TerminalName::Y1);
        $fan = $found(TerminalName::G);
        $heat = $found(TerminalName::W1, TerminalName::W2, TerminalName::Aux, TerminalName::E);
        $emergency = $found(TerminalName::Aux, TerminalName::E);
        if ($emergency !== []) {
            return self::said(
                'Auxiliary or emergency heat: a heat pump with strips or a furnace behind it',
                $emergency,
                'See what heats indoors, and where E goes.',
                ['outdoor' => 'reverses'],
            );
        }

        return match (true) {
            $heat !== [] && $cool === [] && $fan === [] => self::said(
                'Heat only: furnace, boiler or zone valve',
                $heat,
                'With two conductors and no fan, look for a zone valve or a boiler.',
                ['outdoor' => 'none'],
            ),
            $heat !== [] && $cool !== [] && $fan === [] => self::said(
                'Heating and cooling without a fan conductor',
                [...$heat, ...$cool],
                'Look for a Y–G tie at the board, or a blower that runs on Y alone.',
                ['outdoor' => 'cools'],
            ),
            $heat === [] && $cool !== [] => self::said(
                'Cooling only, or a heat pump without backup',
                $cool,
                'Look at the outdoor unit before calling it cooling only.',
                [],
            ),
            $heat !== [] && $cool !== [] => self::said(
                'Heating and cooling, one cabinet or two',
                [...$heat, ...$cool, ...$fan],
                'Gas, oil, electric or water: look at the unit, the letters do not tell.',
                [],
            ),
            default => null,
        };
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @return ?array{title: string, because: string, check: string, answers: array<string, string>}
     */
    private static function supplies(callable $found): ?array
    {
        $rc = $found(TerminalName::Rc);
        $rh = $found(TerminalName::Rh);

        return $rc === [] || $rh === []
            ? null
            : self::said(
                'A conductor on Rc and one on Rh: two transformers, or a link taken for a conductor',
                [...$rc, ...$rh],
                'Switch one supply off at the equipment and see which hot dies (SC07).',
                ['supplies' => '2'],
            );
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @param  list<string>  $printed
     * @return ?array{title: string, because: string, check: string, answers: array<string, string>}
     */
    private static function power(callable $found, array $printed): ?array
    {
        return $printed === [] || $found(TerminalName::C) !== []
            ? null
            : self::said(
                'No C: it ran on batteries, by a mechanical switch, or through an idle load',
                $printed,
                'See whether a spare conductor is folded back in the wall before planning around it.',
                [],
            );
    }

    /**
     * @param  list<string>  $printed
     * @return ?array{title: string, because: string, check: string, answers: array<string, string>}
     */
    private static function bus(array $printed): ?array
    {
        $bus = array_values(
            array_filter(
                $printed,
                static fn (string $l): bool => in_array(strtoupper($l), ['D+', 'D-', 'DATA', 'A', '1', '2', '3'], true),
            ),
        );

        return count($bus) < 2
            ? null
            : self::said(
                'Letters of a data bus: a communicating system',
                $bus,
                'Look at both boards. Nothing is moved before that is known (SC04).',
                [],
            );
    }

    /**
     * @param  list<string>  $letters
     * @param  array<string, string>  $answers  answers that it would give, if the person agrees
     * @return array{title: string, because: string, check: string, answers: array<string, string>}
     */
    private static function said(string $title, array $letters, string $check, array $answers): array
    {
        return ['title' => $title, 'because' => implode(', ', $letters), 'check' => $check, 'answers' => $answers];
    }
}
