<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\ToldWhen;

/**
 * What was understood of a complaint in the trade's words: "cool: outdoor silent, blower runs, since the new
 * thermostat". Calls, what runs or does not, when, what happened before. What is not understood is given back, word by
 * word, never guessed.
 */
final readonly class ComplaintEntry
{
    private const CALLS = [
        'cool-2' => ['second stage cool', 'cool 2', 'cooling 2', 'high cool'],
        'cool-1' => ['cool 1', 'cooling', 'cool', 'ac', 'air conditioning'],
        'heat-2' => ['second stage heat', 'heat 2', 'heating 2', 'high heat'],
        'heat-1' => ['heat 1', 'heating', 'heat'],
        'aux-1' => ['auxiliary heat', 'aux heat', 'auxiliary', 'aux 1', 'aux'],
        'emergency' => ['emergency heat', 'emergency', 'em heat'],
        'defrost' => ['in defrost', 'defrost'],
        'fan' => ['fan on', 'fan call', 'fan only'],
        'idle' => ['nothing called', 'without a call', 'at rest', 'idle', 'all the time', 'always'],
    ];

    private const SIGNS = [
        'outdoor-unit' => ['outdoor unit', 'outdoor', 'outside unit', 'condenser', 'compressor', 'heat pump'],
        'second-stage' => ['second stage'],
        'blower' => ['blower', 'fan', 'indoor fan', 'air'],
        'high-burner' => ['high fire'],
        'burner' => ['burner', 'burners', 'furnace', 'flame'],
        'boiler' => ['boiler'],
        'strip-2' => ['second strip'],
        'strip' => ['strips', 'strip', 'first strip', 'heat strips'],
        'valve' => ['reversing valve'],
        'water-valve' => ['water valve'],
        'zone-valve' => ['zone valve'],
        'humidifier' => ['humidifier'],
        'display' => ['display', 'screen', 'thermostat'],
        'board-lamp' => ['board lamp', 'lamp', 'board light', 'led'],
        'fuse' => ['fuse'],
    ];

    /** What may be answered, the first that a sign knows. */
    private const ANSWERS = [
        'yes,on' => [
            'runs',
            'running',
            'works',
            'comes on',
            'is on',
            'will not stop',
            'never stops',
            'yes',
            'on',
            'lit',
        ],
        'no,off' => [
            'does not run',
            'does not start',
            'will not start',
            'does nothing',
            'silent',
            'quiet',
            'dead',
            'blank',
            'dark',
            'no',
            'not',
            'off',
            'stays off',
        ],
        'open' => ['blown', 'blew', 'open'],
        'whole' => ['whole', 'good'],
        'chatters' => ['chatters', 'chattering', 'clicks'],
        'hums' => ['hums', 'humming', 'buzzes'],
        'resets' => ['resets', 'reboots', 'flashes'],
    ];

    private const WHEN = [
        'at-times' => ['at times', 'sometimes', 'now and then', 'comes and goes', 'intermittent'],
        'at-start' => ['at the start', 'at start', 'at first'],
        'after-minutes' => ['after some minutes', 'after minutes', 'after a while', 'once it is warm'],
    ];

    private const HISTORY = [
        'thermostat-changed' => ['new thermostat', 'thermostat changed', 'thermostat was changed'],
        'equipment-changed' => ['new unit', 'new board', 'new furnace', 'board changed', 'unit changed'],
        'cable-pulled' => ['new cable', 'cable pulled', 'cable moved'],
        'nail-or-screw' => ['nail', 'staple', 'shelf', 'picture hung', 'screw in the wall'],
        'animals' => ['mice', 'rats', 'squirrels', 'animals'],
        'water' => ['water', 'leak', 'flood', 'wet'],
        'storm' => ['storm', 'lightning', 'power cut'],
        'fuse-blew-before' => ['fuse blew before', 'blows fuses', 'blew the fuse before'],
        'old' => ['old unit', 'old'],
        'garden-work' => ['digging', 'garden work', 'string trimmer', 'mower'],
        'cleaned' => ['just serviced', 'just cleaned', 'cleaned'],
        'hot-weather' => ['hot weather', 'heat wave'],
        'cold-weather' => ['cold weather', 'cold snap'],
    ];

    private const FILLERS = [
        'since',
        'the',
        'a',
        'an',
        'and',
        'but',
        'with',
        'in',
        'is',
        'are',
        'it',
        'was',
        'of',
        'to',
    ];

    /** Words of one phrase at most. */
    private const LONGEST = 4;

    /**
     * @param  list<array{call: string, sees: array<string, string>, when: string}>  $complaint
     * @param  list<string>  $history
     * @param  list<string>  $left  words that were not understood, or that this house does not have
     */
    private function __construct(public array $complaint, public array $history, public array $left)
    {
    }

    public static function parse(string $line, Vocabulary $house): self
    {
        // "fan:" is the call, "fan" the blower.
        $text = (string) preg_replace('/\bfan\s*:/', 'fan call ', strtolower($line));
        $words = preg_split('/[^a-z0-9;]+/', str_replace([';', '.'], ' ; ', $text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $told = $history = $left = $signs = [];
        $call = CallName::Idle->value;
        $answer = '';
        $when = ToldWhen::Now->value;
        for ($at = 0; $at < count($words); $at += max(1, $length)) {
            [$kind, $word, $length] = self::match($words, $at);
            $said = implode(' ', array_slice($words, $at, max(1, $length)));
            if ($kind === 'stop' || $kind === 'call') {
                // What was left without its other half belongs to nothing that comes after.
                array_push($left, ...array_values($signs), ...$answer === '' ? [] : [$answer]);
                [$signs, $answer] = [[], ''];
            }
            if (! self::has($house, $kind, $word)) {
                $left[] = $said;
            } elseif ($kind === 'call') {
                $call = $word;
            } elseif ($kind === 'when') {
                $when = $word;
            } elseif ($kind === 'history') {
                $history[] = $word;
            } elseif ($kind === 'sign') {
                $signs[$word] = $said;
            } elseif ($kind === 'answer') {
                $left = $answer === '' ? $left : [...$left, $answer];
                $answer = $said;
            }
            // Several that stand together have one answer: "outdoor and blower silent", "no blower".
            foreach ($answer === '' ? [] : $signs as $sign => $_) {
                $given = self::answer($answer, $house->see[$sign]);
                if ($given !== null) {
                    $told[$call][$sign] = $given;
                    unset($signs[$sign]);
                    $answer = $signs === [] ? '' : $answer;
                }
            }
        }
        array_push($left, ...array_values($signs), ...$answer === '' ? [] : [$answer]);

        return new self(
            array_map(
                static fn (string $c, array $sees): array => ['call' => $c, 'sees' => $sees, 'when' => $when],
                array_map(strval(...), array_keys($told)),
                $told,
            ),
            array_values(array_unique($history)),
            $left,
        );
    }

    /**
     * The longest phrase that begins at a word.
     *
     * @param  list<string>  $words
     * @return array{string, string, int} its kind, what it stands for, how many words; none where none is known
     */
    private static function match(array $words, int $at): array
    {
        $lists = [
            'history' => self::HISTORY,
            'when' => self::WHEN,
            'sign' => self::SIGNS,
            'answer' => self::ANSWERS,
            'call' => self::CALLS,
        ];
        for ($length = self::LONGEST; $length > 0; $length--) {
            $phrase = implode(' ', array_slice($words, $at, $length));
            foreach ($lists as $kind => $list) {
                foreach ($list as $means => $phrases) {
                    if (in_array($phrase, $phrases, true) && count(explode(' ', $phrase)) === $length) {
                        return [$kind, $means, $length];
                    }
                }
            }
        }

        return match (true) {
            $words[$at] === ';' => ['stop', '', 1],
            in_array($words[$at], self::FILLERS, true) => ['filler', '', 1],
            default => ['', '', 1],
        };
    }

    private static function has(Vocabulary $house, string $kind, string $word): bool
    {
        return match ($kind) {
            'call' => in_array($word, $house->calls, true),
            'sign' => isset($house->see[$word]),
            'history' => isset($house->history[$word]),
            default => $kind !== '',
        };
    }

    /**
     * @param  string  $said  as it was said: "silent"
     * @param  list<string>  $allowed  by the sign
     */
    private static function answer(string $said, array $allowed): ?string
    {
        $means = array_find_key(self::ANSWERS, static fn (array $phrases): bool => in_array($said, $phrases, true));

        return array_find(
            explode(',', $means ?? ''),
            static fn (string $one): bool => in_array($one, $allowed, true),
        );
    }
}
