<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Words\Message;

/** What a house can be found by: what stands in it, how it is wired, what its plan does, and the words of every job. */
final class SearchWords
{
    /** What every job has: its words find all of them, and another word beside them fewer. */
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

    /** @return list<string|Message> */
    public static function of(Installation $house, ?Plan $plan): array
    {
        return [
            $house->archetype->title,
            $house->archetype->short,
            ...self::EVERY_JOB,
            ...self::equipment($house),
            ...self::wiring($house),
            ...$plan === null ? [] : self::planned($plan),
            (string) $house->answers->choice('outdoorModel'),
            (string) $house->answers->choice('history'),
        ];
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
            ...$pump !== null && $pump->auxiliaryStages > 0 ? ['auxiliary heat'] : [],
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
