<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\TradeWords;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Words\Message;

/** What a house can be found by: what stands in it, how it is wired, what its plan does. */
final class SearchWords
{
    /** What every job has: such a word names no house, and narrows nothing. */
    private const EVERY_JOB = [
        'archetype',
        'equipment',
        'at rest',
        'short form',
        'set-up strip',
        'neither',
        'bracket',
        'baseline',
        'as found',
        'board',
        'cable',
        'call',
        'candidate',
        'cap',
        'chatter',
        'conductor',
        'coverage',
        'crew',
        'drop-off',
        'door sheet',
        'full pan',
        'pull list',
        'run',
        'which is which',
        'wish',
        'evidence',
        'expected',
        'face',
        'base',
        'figure',
        'floating',
        'ghost',
        'handover',
        'hot',
        'isolated',
        'jacket',
        'landing',
        'level',
        'link',
        'look',
        'load',
        'line side',
        'load check',
        'own lead',
        'place',
        'print',
        'lost',
        'mark',
        'mode',
        'move',
        'open question',
        'override',
        'pattern',
        'plain words',
        'plate',
        'practice',
        'pre check',
        'probe',
        'profile',
        'prove',
        'restore list',
        'route',
        'school',
        'screening',
        'separation',
        'shelf',
        'sign',
        'site',
        'system',
        'visit',
        'stage',
        'survey',
        'plan',
        'set',
        'power flag',
        'stop',
        'strand board',
        'thermostat',
        'transformer',
        'fuse',
        'vanishing point',
        'verdict',
        'way out',
        'weights',
        'jumper',
        'left out',
        'unexplained',
        'assumption',
        'not known',
    ];

    /** From so many letters on two may be wrong. */
    private const LONG = 5;

    /** @return list<string|Message> */
    public static function of(Installation $house, ?Plan $plan): array
    {
        return [
            $house->equipment(),
            $house->equipmentInShort(),
            ...$house->equipmentSeen() ? self::equipment($house) : [],
            ...self::wiring($house),
            ...$plan === null ? [] : self::planned($plan),
            (string) $house->answers->choice('outdoorModel'),
            (string) $house->answers->choice('history'),
        ];
    }

    /**
     * What is asked, as terms that a house has to have; without the words that every job has.
     *
     * @return list<non-empty-list<string>>
     */
    public static function narrowing(string $asked): array
    {
        $every = array_map(TradeWords::plain(...), self::EVERY_JOB);
        usort($every, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $rest = ' '.TradeWords::plain($asked).' ';
        // A longer word of the trade first: "no c wire" is no word of every job and a rest.
        foreach (array_filter($every, static fn (string $w): bool => str_contains($w, ' ')) as $phrase) {
            $rest = str_replace(" {$phrase} ", ' ', $rest);
        }

        return array_values(
            array_filter(
                TradeWords::terms($rest),
                static fn (array $names): bool => array_intersect(array_map(trim(...), $names), $every) === [],
            ),
        );
    }

    /**
     * What may have been meant, where nothing was found.
     *
     * @param  list<string>  $names  of the sites that there are
     */
    public static function meant(string $asked, array $names): ?string
    {
        $known = [...TradeWords::all(), ...array_merge([], ...array_map(TradeWords::wordsOf(...), $names))];
        $changed = false;
        $words = [];
        foreach (TradeWords::wordsOf($asked) as $word) {
            $near = $word;
            $least = strlen($word) > self::LONG ? 3 : 2;
            foreach (in_array($word, $known, true) || strlen($word) < 3 ? [] : $known as $candidate) {
                $apart = levenshtein($word, $candidate);
                if ($apart < $least) {
                    [$least, $near, $changed] = [$apart, $candidate, true];
                }
            }
            $words[] = $near;
        }

        return $changed ? implode(' ', $words) : null;
    }

    /** @return list<string|Message> */
    private static function equipment(Installation $house): array
    {
        $archetype = $house->archetype;
        $pump = $archetype->heatPump;

        return [
            ...array_map(static fn (Load $l): Message => $l->label, $house->loads()),
            ...$pump === null
                ? []
                : ['heat pump', 'reversing valve', 'defrost', 'balance point', 'lockout', 'emergency heat'],
            ...$pump !== null && $pump->auxiliaryStages > 0 ? ['auxiliary heat', 'strip heat'] : [],
            ...$archetype->heatSource === HeatSource::Electric ? ['strip heat'] : [],
            ...$archetype->system() === 'dual-fuel' ? ['dual fuel', 'furnace', 'auxiliary heat'] : [],
            ...$archetype->coolStages > 0 ? ['cooling', 'outdoor unit'] : [],
            ...$archetype->coolStages > 1 || $archetype->heatStages > 1 ? ['two stage'] : [],
            ...$house->facts->floats() === [] ? [] : ['float switch'],
            ...$house->facts->shedsLoad() ? ['load shedding'] : [],
            ...$archetype->humidifies() === null ? [] : ['humidify'],
            ...$archetype->dehumidify === Dehumidify::None ? [] : ['dehumidify'],
            ...count($archetype->supplies()) > 1 ? ['two transformers'] : [],
        ];
    }

    /** @return list<string> */
    private static function wiring(Installation $house): array
    {
        $words = $letters = [];
        $common = array_any($house->wallConductors(), static fn (Conductor $c): bool => self::isCommon($house, $c));
        if ($house->wallConductors() !== [] && ! $common) {
            $words[] = 'without c';
        }
        foreach ($house->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                array_push($letters, $conductor->near->terminal, $conductor->far->terminal);
                array_push($words, ...self::conductor($conductor));
                if ($cable->from === Place::Wall && self::isCommon($house, $conductor)) {
                    $words[] = 'common';
                }
            }
        }

        return array_values(array_unique(array_filter([...$words, ...$letters])));
    }

    /** @return list<string> */
    private static function conductor(Conductor $conductor): array
    {
        return [
            $conductor->colour->value,
            ...$conductor->isSpare() ? ['spare'] : [],
            ...$conductor->colourAfterSplice !== null ||
            $conductor->near->onto !== null ||
            $conductor->far->onto !== null
                ? ['splice']
                : [],
            ...$conductor->evidence === Evidence::Traced ? ['traced'] : [],
        ];
    }

    private static function isCommon(Installation $house, Conductor $conductor): bool
    {
        return $house->onPlate($conductor)?->name === TerminalName::C;
    }

    /** @return list<string|Message> */
    private static function planned(Plan $plan): array
    {
        return [
            $plan->profile->title,
            $plan->profile->power->label(),
            ...$plan->profile->power === PowerKind::Shared ? ['power sharing'] : [],
            ...$plan->profile->outputs === Place::Module
                ? [$plan->profile->linkConductors > 0 ? 'two part' : 'radio']
                : [],
            ...$plan->changes->sharedKit ? ['kit'] : [],
            ...$plan->changes->elsewhere ? ['another wall position'] : [],
        ];
    }
}
