<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Entry;

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Words\Message;

/**
 * What was understood of a one-line conductor entry: `[number] colour[/stripe] near>far flags`, for instance
 * `wht W1 > W2 traced`, `blu - > - spare`, `4 yel Y>Y !`, `5 blu - > - open reachable
 * "attic"`. Whatever parsed stays available beside the problems,
 * so that the person sees what was understood before it is kept.
 */
final readonly class ConductorEntry
{
    private const FREE = [
        '-' => EndState::Spare,
        'spare' => EndState::Spare,
        'cap' => EndState::Capped,
        'capped' => EndState::Capped,
        'cut' => EndState::CutShort,
        'broken' => EndState::BrokenOff,
    ];

    private const EVIDENCE = [
        '!' => Evidence::Traced,
        'traced' => Evidence::Traced,
        'toned' => Evidence::Traced,
        'seen' => Evidence::Seen,
        '?' => Evidence::ColourOnly,
        'colour' => Evidence::ColourOnly,
        'color' => Evidence::ColourOnly,
        'unknown' => Evidence::Unknown,
    ];

    /**
     * @param  list<Condition>  $condition
     * @param  list<EntryProblem>  $problems
     * @param  list<int>  $touches
     */
    private function __construct(
        public ?int $number,
        public ?Colour $colour,
        public ?Colour $stripe,
        public ?End $near,
        public ?End $far,
        public Evidence $evidence,
        public ?Colour $colourAfterSplice,
        public array $condition,
        public ?float $loopOhms,
        public array $problems,
        public array $touches,
        public string $note,
    ) {
    }

    /**
     * @param  Place  $nearPlace  where the left-hand end is
     * @param  Place  $farPlace  where the right-hand end is
     * @param  array<string, list<string>>  $screws  printed terminals that exist, by place value; a place without
     *                                               an entry takes any letter of the trade's vocabulary
     * @param  bool  $heatPump  context for ambiguous letters
     */
    public static function parse(
        string $line,
        Place $nearPlace,
        Place $farPlace,
        array $screws,
        bool $heatPump = false,
    ): self {
        $problems = [];
        $words = self::words($line);

        $number = isset($words[0]) && ctype_digit($words[0]) ? (int) array_shift($words) : null;
        if ($number !== null && ($number < 1 || $number > 50)) {
            $problems[] = new EntryProblem(
                'number',
                (string) $number,
                Message::of('wiring.conductor-entry.conductor-number-not-possible-use', number: $number),
            );
        }

        [$colour, $stripe] = self::colours(array_shift($words) ?? '', $problems);

        $flags = $words;
        $near = $far = null;
        $arrow = array_search('>', $words, true);
        if ($arrow !== false) {
            $near = self::end(
                implode(' ', array_slice($words, 0, $arrow)),
                'near',
                $nearPlace,
                $screws,
                $heatPump,
                $problems,
            );
            $far = self::end($words[$arrow + 1] ?? '', 'far', $farPlace, $screws, $heatPump, $problems);
            $flags = array_slice($words, $arrow + 2);
        }

        [$flags, $note] = self::note($flags);
        [$condition, $loop, $touches, $flags] = self::condition($flags);
        [$evidence, $free, $splice] = self::flags($flags, $problems);
        if ($free !== null) {
            $near = $near === null || $near->isFree() ? End::free($free) : $near;
            $far = $far === null || $far->isFree() ? End::free($free) : $far;
        } elseif ($arrow === false && $colour !== null) {
            $problems[] = new EntryProblem(
                'ends',
                '',
                Message::of(
                    'wiring.conductor-entry.say-where-goes-letter-then',
                    nearPlace: $nearPlace->label(),
                    farPlace: $farPlace->label(),
                ),
            );
        }

        return new self(
            number: $number,
            colour: $colour,
            stripe: $stripe,
            near: $near,
            far: $far,
            evidence: $evidence,
            colourAfterSplice: $splice,
            condition: $condition,
            loopOhms: $loop,
            problems: $problems,
            touches: $touches,
            note: $note,
        );
    }

    /** @return list<Message> */
    private static function colourNames(): array
    {
        return array_map(Message::term(...), Colour::cases());
    }

    /** Whether the line can be kept as it stands. */
    public function isComplete(): bool
    {
        return $this->problems === [] && $this->colour !== null && $this->near !== null && $this->far !== null;
    }

    /** The conductor that the line describes; only for a complete line. */
    public function toConductor(int $number): Conductor
    {
        if (! $this->isComplete()) {
            throw new \LogicException('The entry is not complete.');
        }
        \assert($this->colour !== null && $this->near !== null && $this->far !== null);

        return new Conductor(
            number: $number,
            colour: $this->colour,
            near: $this->near,
            far: $this->far,
            evidence: $this->evidence,
            stripe: $this->stripe,
            colourAfterSplice: $this->colourAfterSplice,
            note: $this->note,
            condition: $this->condition,
            loopOhms: $this->loopOhms,
            touches: array_values(array_filter($this->touches, static fn (int $n): bool => $n !== $number)),
        );
    }

    /** @return list<string> words of the line, with `>` always a word of its own and quoted letters kept whole */
    private static function words(string $line): array
    {
        $line = str_replace(['→', '->>'], '>', $line);
        $line = preg_replace('/([^\s>!?"]+)([!?])(?=\s|$)/', '$1 $2', $line) ?? $line;
        preg_match_all('/"[^"]*"|>|[^\s>"]+/', $line, $found);

        return $found[0];
    }

    /**
     * @param  list<EntryProblem>  $problems
     * @return array{?Colour, ?Colour}
     */
    private static function colours(string $word, array &$problems): array
    {
        [$main, $tracer] = array_pad(explode('/', $word, 2), 2, null);
        $colour = Colour::tryParse($main ?? '');
        if ($colour === null) {
            $problems[] = new EntryProblem(
                'colour',
                $word,
                Message::of(
                    'wiring.conductor-entry.use',
                    clause: $word === ''
                        ? Message::of('wiring.conductor-entry.start-with-colour')
                        : Message::of('wiring.conductor-entry.no-insulation-colour', word: $word),
                    names: self::colourNames(),
                ),
            );
        }
        $stripe = $tracer === null ? null : Colour::tryParse($tracer);
        if ($tracer !== null && $stripe === null) {
            $problems[] = new EntryProblem(
                'stripe',
                $tracer,
                Message::of(
                    'wiring.conductor-entry.no-stripe-colour-use',
                    tracer: $tracer,
                    names: self::colourNames(),
                ),
            );
        }

        return [$colour, $stripe];
    }

    /**
     * @param  array<string, list<string>>  $screws
     * @param  list<EntryProblem>  $problems
     */
    private static function end(
        string $word,
        string $field,
        Place $place,
        array $screws,
        bool $heatPump,
        array &$problems,
    ): ?End {
        $word = trim($word);
        if ($word === '') {
            $problems[] = new EntryProblem(
                $field,
                '',
                Message::of('wiring.conductor-entry.end-missing-write-letter-or', place: $place->label()),
            );

            return null;
        }
        $free = self::FREE[strtolower($word)] ?? null;
        if ($free !== null) {
            return End::free($free);
        }
        if (preg_match('/^"(.{1,12})"$/', $word, $quoted) === 1) {
            return End::landed($quoted[1]);
        }
        if (preg_match('/^@([A-Za-z])(\d{1,2})$/', $word, $spliced) === 1) {
            return End::spliced(strtoupper($spliced[1]).(int) $spliced[2]);
        }
        $allowed = $screws[$place->value] ?? null;
        if ($allowed !== null) {
            foreach ($allowed as $printed) {
                if (strcasecmp($printed, $word) === 0) {
                    return End::landed($printed);
                }
            }
            $wanted = Vocabulary::resolve($word, $place, $heatPump)->name;
            foreach ($allowed as $printed) {
                if ($wanted !== null && Vocabulary::resolve($printed, $place, $heatPump)->name === $wanted) {
                    return End::landed($printed);
                }
            }
            $problems[] = new EntryProblem(
                $field,
                $word,
                Message::of(
                    'wiring.conductor-entry.no-terminal-on-has',
                    word: $word,
                    place: $place->label(),
                    allowed: $allowed,
                ),
            );

            return null;
        }
        if (! Vocabulary::knows($word, $place, $heatPump)) {
            $problems[] = new EntryProblem(
                $field,
                $word,
                Message::of(
                    'wiring.conductor-entry.no-terminal-known-at-keep',
                    word: $word,
                    place: $place->label(),
                ),
            );

            return null;
        }

        return End::landed(Vocabulary::resolve($word, $place, $heatPump)->printed);
    }

    /**
     * @param  list<string>  $words
     * @return array{list<Condition>, ?float, list<int>, list<string>} what is wrong with it, its loop ohms, what it
     *     touches, and the words left
     */
    private static function condition(array $words): array
    {
        $condition = $left = $touches = [];
        $loop = null;
        foreach ($words as $word) {
            if (Condition::tryFrom(strtolower($word)) !== null) {
                $condition[] = Condition::from(strtolower($word));
            } elseif (preg_match('/^(\d{1,3}(?:[.,]\d{1,2})?)(?:ohms?|Ω)$/iu', $word, $found) === 1) {
                $loop = (float) str_replace(',', '.', $found[1]);
            } elseif (preg_match('/^(?:touch(?:es)?|short(?:ed)?)#?(\d{1,2})$/i', $word, $found) === 1) {
                $touches[] = (int) $found[1];
            } else {
                $left[] = $word;
            }
        }

        return [$condition, $loop, $touches, $left];
    }

    /**
     * What stands between quotes is a note: "attic, by the flue".
     *
     * @param  list<string>  $words
     * @return array{list<string>, string} the words without it, and the note
     */
    private static function note(array $words): array
    {
        $quoted = array_filter($words, static fn (string $word): bool => str_starts_with($word, '"'));

        return [
            array_values(array_diff_key($words, $quoted)),
            implode(', ', array_map(static fn (string $word): string => trim($word, '"'), $quoted)),
        ];
    }

    /**
     * @param  list<string>  $words
     * @param  list<EntryProblem>  $problems
     * @return array{Evidence, ?EndState, ?Colour}
     */
    private static function flags(array $words, array &$problems): array
    {
        $evidence = Evidence::Unknown;
        $free = $splice = null;
        while (($word = array_shift($words)) !== null) {
            $flag = strtolower($word);
            if (isset(self::EVIDENCE[$flag])) {
                $evidence = self::EVIDENCE[$flag];
            } elseif (isset(self::FREE[$flag]) && $flag !== '-') {
                $free = self::FREE[$flag];
            } elseif ($flag === 'splice') {
                $splice = Colour::tryParse(array_shift($words) ?? '');
                if ($splice === null) {
                    $problems[] = new EntryProblem(
                        'flag',
                        $word,
                        Message::of('wiring.conductor-entry.after-splice-name-colour-goes'),
                    );
                }
            } else {
                $problems[] = new EntryProblem(
                    'flag',
                    $word,
                    Message::of('wiring.conductor-entry.no-flag-use-or-traced', word: $word),
                );
            }
        }

        return [$evidence, $free, $splice];
    }
}
