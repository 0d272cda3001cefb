<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Suggest;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\EquipmentKind;
use Unionbit\Core\Job\Interview\Answers;
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
        'supplies',
    ];

    /** Answers that nothing follows from, by question. */
    private const SAYS_NOTHING = ['bus' => ['no'], 'fanCentre' => ['no'], 'eGoes' => ['none']];

    /**
     * @param  ?string  $id  of the catalogue; null while something is still to be answered, or nothing fits
     * @param  list<Message>  $why  what it follows from, in words
     * @param  list<string>  $open  keys of questions that would decide it
     */
    private function __construct(public ?string $id, public array $why, public array $open)
    {
    }

    /** @param  list<string>  $known ids of the catalogue */
    public static function of(Answers $answers, array $known): self
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
        $id = self::id($answers);
        $ownRelay = "{$id}-e-relay";
        if ($answers->is('eGoes', 'relay')) {
            $id = in_array($ownRelay, $known, true) ? $ownRelay : $id;
            $why =
                $id === $ownRelay
                    ? $why
                    : [...$why, Message::of('job.equipment-match.catalogue-has-only-without-relay')];
        }

        return in_array($id, $known, true)
            ? new self($id, $why, [])
            : new self(null, [...$why, Message::of('job.equipment-match.catalogue-has-no-such-equipment')], []);
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
            'supplies' => (string) count($archetype->transformers),
            'zoneValve' => $source === 'boiler' ? 'two' : null,
            'fanCoil' => $source === 'coil' ? '24v' : null,
        ];
        foreach ($given as $key => $value) {
            $answers = $answers->with($key, $value);
        }

        return $answers;
    }

    /** @return list<string> */
    private static function open(Answers $answers): array
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

    private static function id(Answers $answers): string
    {
        $cool = $answers->choice('coolStages') ?? '1';
        $heat = $answers->choice('heatStages') ?? '1';
        $source = $answers->choice('heatSource') ?? '';
        if ($answers->is('bus', 'convert')) {
            return "communicating-converted-{$cool}c";
        }

        return match ($answers->choice('outdoor')) {
            'none' => match ($source) {
                'gas' => "furnace-gas-{$heat}h",
                'oil' => "furnace-oil-{$heat}h",
                default => '',
            },
            'cools' => match ($source) {
                'gas', 'oil' => $answers->is('fanCentre', 'yes')
                    ? "fan-centre-{$heat}h-{$cool}c"
                    : ($source === 'gas'
                        ? "furnace-gas-{$heat}h-{$cool}c"
                        : "furnace-oil-own-transformer-{$cool}c"),
                'electric' => "air-handler-electric-{$heat}h-{$cool}c",
                'coil' => "air-handler-hot-water-{$cool}c",
                'boiler' => "boiler-zone-valve-{$cool}c",
                default => "air-handler-cool-{$cool}c",
            },
            default => self::heatPump(strtolower($answers->choice('valve') ?? 'O'), $cool, $heat, $source),
        };
    }

    private static function heatPump(string $valve, string $cool, string $heat, string $source): string
    {
        return match ($source) {
            'gas', 'oil' => "dual-fuel-{$valve}-{$cool}c-{$heat}h",
            'electric' => "heat-pump-{$valve}-{$cool}c-{$heat}aux",
            default => "heat-pump-{$valve}-{$cool}c",
        };
    }
}
