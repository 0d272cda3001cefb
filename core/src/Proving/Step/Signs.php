<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\Observable;
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
    public static function asides(): array
    {
        return [
            new Sign('display', Message::of('proving.signs.display-shows-call'), 'eye', null, true),
            new Sign('drop-off', Message::of('proving.signs.everything-stops-again-when-call'), 'ear', null, true),
        ];
    }
}
