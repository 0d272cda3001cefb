<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Suggest;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Build\Shelf;
use Unionbit\Core\Equipment\Build\Unheld;
use Unionbit\Core\Equipment\EquipmentKind;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Words\Message;

/** Which entry of the equipment catalogue the answers describe, and the answers that an entry stands for. */
final readonly class EquipmentMatch
{
    /** Questions whose answers say what the equipment is, in the order in which it is told. */
    private const SPEAKS = [
        'outdoor',
        'coolStages',
        'valve',
        'heatSource',
        'heatStages',
        'eGoes',
        'bus',
        'fanCentre',
        'coolAir',
        'heatBoard',
        'humidifier',
        'dehumidify',
        'supplies',
    ];

    /** Answers that nothing follows from, by question. */
    private const SAYS_NOTHING = [
        'bus' => ['no'],
        'fanCentre' => ['no'],
        'coolAir' => ['furnace'],
        'heatBoard' => ['board'],
        'eGoes' => ['none'],
        'humidifier' => ['none'],
        'dehumidify' => ['none'],
    ];

    /**
     * @param  ?string  $id  of the catalogue; null while something is still to be answered, or nothing fits
     * @param  list<Message>  $why  what it follows from, in words
     * @param  list<string>  $open  keys of questions that would decide it
     */
    private function __construct(public ?string $id, public array $why, public array $open)
    {
    }

    /** @param  ?string  $current  equipment of the house as it stands, which is kept where the answers allow it */
    public static function of(Answers $answers, Shelf $shelf, ?string $current = null): self
    {
        $open = self::open($answers);
        if ($open !== []) {
            return new self(null, [], $open);
        }
        $why = [];
        foreach (self::SPEAKS as $key) {
            $given = $answers->given[$key] ?? null;
            $said = Questions::named($key)?->said($given);
            if ($said === null || in_array($given, self::SAYS_NOTHING[$key] ?? [], true)) {
                continue;
            }
            $why[] = match ($key) {
                'coolStages' => Message::of('job.equipment-match.compressor-stages', said: $said->within()),
                'heatStages' => Message::of('job.equipment-match.heat-stages', said: $said->within()),
                default => $said->within(),
            };
        }
        try {
            $meant = $shelf->meant($answers->choices());
            $id =
                $current !== null && $shelf->isMeant($current, $meant)
                    ? $current
                    : $shelf->name($shelf->carrying($meant, $current));
            $shelf->archetype($id);
        } catch (Unheld $unheld) {
            return new self(
                null,
                [...$why, $unheld->why, Message::of('job.equipment-match.catalogue-has-no-such-equipment')],
                [],
            );
        }

        return new self($id, $why, []);
    }

    /** What the catalogue's entry says of itself. */
    public static function answersOf(Archetype $archetype): Answers
    {
        $answers = new Answers();
        $source = match (true) {
            $archetype->kind === EquipmentKind::HotWaterCoil => 'coil',
            $archetype->heatSource === 'hydronic' => 'boiler',
            default => $archetype->heatSource,
        };
        $strips =
            $archetype->heatPump !== null && $source === 'electric' ? $archetype->heatPump->auxiliaryStages : null;
        $heats = $strips !== 0 && $source !== 'none';
        $given = [
            'outdoor' => $archetype->reverses ? 'reverses' : ($archetype->coolStages > 0 ? 'cools' : 'none'),
            'coolStages' => $archetype->coolStages > 0 ? (string) $archetype->coolStages : null,
            'valve' => $archetype->heatPump?->valve,
            'heatSource' => $heats ? $source : 'none',
            'heatStages' => $heats && in_array($source, ['gas', 'oil', 'electric'], true)
                    ? (string) ($strips ?? $archetype->heatStages)
                    : null,
            'eGoes' => $strips === null || $strips === 0
                    ? null
                    : ['own' => 'relay', 'tied' => 'tied'][$archetype->heatPump->emergency] ?? 'none',
            'bus' => $archetype->coolStages === 0
                    ? null
                    : ($archetype->kind === EquipmentKind::Communicating
                        ? 'convert'
                        : 'no'),
            'fanCentre' => match (true) {
                $archetype->coolStages === 0, $archetype->reverses => null,
                ! in_array($source, ['gas', 'oil'], true) => null,
                default => $archetype->kind === EquipmentKind::FanCenter ? 'yes' : 'no',
            },
            'coolAir' => match (true) {
                $archetype->coolStages === 0, $archetype->reverses => null,
                ! in_array($source, ['gas', 'oil'], true) => null,
                $archetype->kind === EquipmentKind::FanCenter => null,
                default => self::hasUnits($archetype, 'furnace', 'air-handler') ? 'own' : 'furnace',
            },
            'heatBoard' => match (true) {
                $source !== 'gas' || $archetype->coolStages > 0 => null,
                default => $archetype->kind === EquipmentKind::BareValve ? 'valve' : 'board',
            },
            'supplies' => (string) count($archetype->supplies()),
            'zoneValve' => $source === 'boiler' ? 'two' : null,
            'fanCoil' => $source === 'coil' ? '24v' : null,
            ...self::inUnits($archetype),
        ];
        foreach ($given as $key => $value) {
            $answers = $answers->with($key, $value);
        }

        return $answers;
    }

    /** @return array<string, ?string> what its units say of themselves where each is asked */
    private static function inUnits(Archetype $archetype): array
    {
        $said = [];
        foreach ($archetype->options as $option) {
            $said += $option->each && $option->asks !== null ? [$option->asks => $option->said] : [];
        }

        return $said;
    }

    private static function hasUnits(Archetype $archetype, string ...$units): bool
    {
        return array_diff($units, array_column($archetype->units, 'unit')) === [];
    }

    /** @return list<string> keys of the questions that still decide what it is */
    public static function open(Answers $answers): array
    {
        $needed = ['outdoor', 'heatSource'];
        if ($answers->is('outdoor', 'cools', 'reverses')) {
            $needed[] = 'coolStages';
        }
        if ($answers->is('outdoor', 'reverses')) {
            $needed[] = 'valve';
        }
        if ($answers->is('heatSource', 'gas', 'oil', 'electric')) {
            $needed[] = 'heatStages';
        }

        return array_values(array_filter($needed, static fn (string $key): bool => $answers->choice($key) === null));
    }
}
