<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Steps;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** What a person sees and hears when a call works, by the loads that it must pull in. */
final readonly class Signs
{
    public function __construct(private Archetype $archetype)
    {
    }

    /** @return list<Sign> */
    public function of(CallName $call): array
    {
        return $this->ofLoads(
            array_values(
                array_filter(array_map($this->archetype->load(...), $this->archetype->needs[$call->value] ?? [])),
            ),
        );
    }

    /**
     * @param  list<Load>  $loads
     * @return list<Sign>
     */
    public function ofLoads(array $loads): array
    {
        $signs = [];
        foreach ($loads as $load) {
            $sign = match (true) {
                $load->observable === Observable::Blower => new Sign(
                    $load->observable->value,
                    Message::of('proving.signs.blower-runs'),
                    'ear',
                    $load->id,
                ),
                $load->observable === Observable::OutdoorUnit => new Sign(
                    $load->observable->value,
                    Message::of('proving.signs.outdoor-unit-runs'),
                    'ear',
                    $load->id,
                ),
                $load->observable === Observable::Burner => new Sign(
                    $load->observable->value,
                    Message::of('proving.signs.burner-lights-blower-follows-by'),
                    'eye',
                    $load->id,
                ),
                $load->observable !== null => new Sign(
                    $load->observable->value,
                    Message::of('proving.signs.works', load: $load->label->opening()),
                    $load->kind === LoadKind::ReversingValve ? 'ear' : 'eye',
                    $load->id,
                ),
                default => null,
            };
            if ($sign !== null) {
                $signs[] = $sign;
            }
        }

        return $signs;
    }

    /** @return list<Sign> what belongs to a whole proof besides the load: the display before, the drop-off after */
    public function asides(CallName $call): array
    {
        return [
            new Sign('display', Message::of('proving.signs.display-shows-call'), 'eye', null, true),
            new Sign(
                Sign::DROP_OFF,
                Message::of('proving.signs.everything-stops-again-when-call'),
                'ear',
                null,
                watches: array_map(static fn (Sign $s): string => $s->key, $this->of($call)),
                still: true,
            ),
            ...$this->leftAlone($call),
        ];
    }

    /** @return list<Sign> what only the blower alone can show: a dry contact that is stuck waters every run of it */
    private function leftAlone(CallName $call): array
    {
        $signs = [];
        foreach ($call === CallName::Fan ? $this->archetype->loads : [] as $load) {
            if ($load->observable === Observable::Humidifier) {
                $signs[] = new Sign(
                    "{$load->observable->value}-still",
                    Message::of('proving.signs.stays-shut', load: $load->label->opening()),
                    'eye',
                    null,
                    watches: [$load->observable->value],
                    still: true,
                );
            }
        }

        return $signs;
    }

    /** @return list<Sign> with nothing called: at each place nothing runs */
    public function atRest(Installation $house): array
    {
        $places = [];
        foreach ($this->archetype->loads as $load) {
            if ($load->observable !== null) {
                $places[self::lookedAt($load)->value][] = $load;
            }
        }
        $signs = [];
        foreach ($places as $place => $loads) {
            $signs[] = new Sign(
                "still-{$place}",
                Message::of(
                    'proving.signs.nothing-runs',
                    place: $house->placeName(Place::from($place)),
                    loads: Message::unique(array_map(static fn (Load $l): Message => $l->label->within(), $loads)),
                ),
                'ear',
                null,
                watches: array_values(
                    array_unique(array_map(static fn (Load $l): string => $l->observable->value ?? '', $loads)),
                ),
                still: true,
            );
        }

        return $signs;
    }

    /** Where a load is seen or heard: what the outdoor board drives, outdoors. */
    private static function lookedAt(Load $load): Place
    {
        return $load->place() ?? Place::Indoor;
    }
}
