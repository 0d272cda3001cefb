<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Suggest;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Words\Message;

/**
 * What the letters of an old plate make likely: suggestions, each with the letters it rests on and what to check.
 * A letter is never evidence (MR01); the equipment decides.
 */
final class PlateRecognition
{
    /**
     * @param  list<string>  $printed  letters found on the plate
     * @return list<array{title: Message, because: Message, check: Message, answers: array<string, string>}>
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
     * @return ?array{title: Message, because: Message, check: Message, answers: array<string, string>}
     */
    private static function valve(callable $found): ?array
    {
        $o = $found(TerminalName::O);
        $b = $found(TerminalName::B);
        if ($o !== [] && $b !== []) {
            return self::said(
                Message::of('job.plate-recognition.plate-for-either-valve-o'),
                [...$o, ...$b],
                Message::of('job.plate-recognition.only-one-with-conductor-matters'),
                ['outdoor' => 'reverses'],
            );
        }
        if ($o !== [] || $found(TerminalName::OB) !== []) {
            return self::said(
                Message::of('job.plate-recognition.likely-heat-pump'),
                [...$o, ...$found(TerminalName::OB)],
                Message::of('job.plate-recognition.look-for-reversing-valve-defrost'),
                ['outdoor' => 'reverses', ...$o === [] ? [] : ['valve' => 'O']],
            );
        }
        if ($b !== []) {
            return self::said(
                Message::of('job.plate-recognition.b-reversing-valve-energised-in'),
                $b,
                Message::of('job.plate-recognition.power-off-lift-read-ohms'),
                [],
            );
        }

        return null;
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @return ?array{title: Message, because: Message, check: Message, answers: array<string, string>}
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
                    $cool !== [] && $heat !== [] => Message::of('job.plate-recognition.two-stages-heating-cooling'),
                    $cool !== [] => Message::of('job.plate-recognition.two-compressor-stages'),
                    default => Message::of('job.plate-recognition.two-stages-heat'),
                },
                [...$cool, ...$heat],
                Message::of('job.plate-recognition.look-for-second-input-on'),
                [...$cool === [] ? [] : ['coolStages' => '2'], ...$heat === [] ? [] : ['heatStages' => '2']],
            );
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @return ?array{title: Message, because: Message, check: Message, answers: array<string, string>}
     */
    private static function system(callable $found): ?array
    {
        $cool = $found(TerminalName::Y1);
        $fan = $found(TerminalName::G);
        $heat = $found(TerminalName::W1, TerminalName::W2, TerminalName::Aux, TerminalName::E);
        $emergency = $found(TerminalName::Aux, TerminalName::E);
        if ($emergency !== []) {
            return self::said(
                Message::of('job.plate-recognition.auxiliary-or-emergency-heat-heat'),
                $emergency,
                Message::of('job.plate-recognition.see-what-heats-indoors-where'),
                ['outdoor' => 'reverses'],
            );
        }

        return match (true) {
            $heat !== [] && $cool === [] && $fan === [] => self::said(
                Message::of('job.plate-recognition.heat-only-furnace-boiler-or'),
                $heat,
                Message::of('job.plate-recognition.with-two-conductors-no-fan'),
                ['outdoor' => 'none'],
            ),
            $heat !== [] && $cool !== [] && $fan === [] => self::said(
                Message::of('job.plate-recognition.heating-cooling-without-fan-conductor'),
                [...$heat, ...$cool],
                Message::of('job.plate-recognition.look-for-y-g-tie'),
                ['outdoor' => 'cools'],
            ),
            $heat === [] && $cool !== [] => self::said(
                Message::of('job.plate-recognition.cooling-only-or-heat-pump'),
                $cool,
                Message::of('job.plate-recognition.look-at-outdoor-unit-before'),
                [],
            ),
            $heat !== [] && $cool !== [] => self::said(
                Message::of('job.plate-recognition.heating-cooling-one-cabinet-or'),
                [...$heat, ...$cool, ...$fan],
                Message::of('job.plate-recognition.gas-oil-electric-or-water'),
                [],
            ),
            default => null,
        };
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @return ?array{title: Message, because: Message, check: Message, answers: array<string, string>}
     */
    private static function supplies(callable $found): ?array
    {
        $rc = $found(TerminalName::Rc);
        $rh = $found(TerminalName::Rh);

        return $rc === [] || $rh === []
            ? null
            : self::said(
                Message::of('job.plate-recognition.conductor-on-rc-one-on'),
                [...$rc, ...$rh],
                Message::of('job.plate-recognition.switch-one-supply-off-at'),
                ['supplies' => '2'],
            );
    }

    /**
     * @param  callable(TerminalName...): list<string>  $found
     * @param  list<string>  $printed
     * @return ?array{title: Message, because: Message, check: Message, answers: array<string, string>}
     */
    private static function power(callable $found, array $printed): ?array
    {
        return $printed === [] || $found(TerminalName::C) !== []
            ? null
            : self::said(
                Message::of('job.plate-recognition.no-c-ran-on-batteries'),
                $printed,
                Message::of('job.plate-recognition.see-whether-spare-conductor-folded'),
                [],
            );
    }

    /**
     * @param  list<string>  $printed
     * @return ?array{title: Message, because: Message, check: Message, answers: array<string, string>}
     */
    private static function bus(array $printed): ?array
    {
        $bus = array_values(
            array_filter(
                $printed,
                static fn (string $l): bool => in_array(
                    strtoupper($l),
                    ['D+', 'D-', 'DATA', 'A', '1', '2', '3'],
                    true,
                ),
            ),
        );

        return count($bus) < 2
            ? null
            : self::said(
                Message::of('job.plate-recognition.letters-data-bus-communicating-system'),
                $bus,
                Message::of('job.plate-recognition.look-at-both-boards-nothing'),
                [],
            );
    }

    /**
     * @param  list<string>  $letters
     * @param  array<string, string>  $answers  answers that it would give, if the person agrees
     * @return array{title: Message, because: Message, check: Message, answers: array<string, string>}
     */
    private static function said(Message $title, array $letters, Message $check, array $answers): array
    {
        return [
            'title' => $title,
            'because' => Message::raw(implode(', ', $letters)),
            'check' => $check,
            'answers' => $answers,
        ];
    }
}
