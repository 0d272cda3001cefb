<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;

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
                $load->observable === 'blower' => new Sign('blower', 'Blower runs', 'ear', $load->id),
                $load->observable === 'outdoor-unit' => new Sign('outdoor-unit', 'Outdoor unit runs', 'ear', $load->id),
                $load->observable === 'burner' => new Sign(
                    'burner',
                    'Burner lights, blower follows by itself',
                    'eye',
                    $load->id,
                ),
                $load->observable !== null => new Sign(
                    $load->observable,
                    ucfirst($load->label).' works',
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
            new Sign('display', 'Display shows the call', 'eye', null, true),
            new Sign('drop-off', 'Everything stops again when the call ends', 'ear', null, true),
        ];
    }
}
