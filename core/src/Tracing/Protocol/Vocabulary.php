<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Tracing\Record\Spot;
use Unionbit\Core\Tracing\Suspect\LandingFault;
use Unionbit\Core\Tracing\Suspect\Suspect;
use Unionbit\Core\Tracing\Trace;
use Unionbit\Core\Words\Message;

/** Everything that one house may be told or may name. */
final readonly class Vocabulary
{
    public const SCHOOLS = ['jumper', 'meter', 'unit', 'continuity'];

    /**
     * @param  list<string>  $calls
     * @param  list<string>  $points
     * @param  array<string, list<string>>  $see
     * @param  array<string, list<string>>  $inspect
     * @param  array<string, Message>  $history
     * @param  array<string, Message>  $faults
     * @param  array<string, Repair>  $repairs
     * @param  list<string>  $supplies
     * @param  list<string>  $fused
     * @param  list<string>  $liftable
     * @param  list<string>  $places
     * @param  list<string>  $holdable
     * @param  list<string>  $linked  states of the Rc–Rh link; none where the thermostat has none
     * @param  list<string>  $clampable
     * @param  list<Place>  $stand
     * @param  list<LandingFault>  $landing
     * @param  list<string>  $cables
     */
    private function __construct(
        public array $calls,
        public array $points,
        public array $see,
        public array $inspect,
        public array $history,
        public array $faults,
        public array $repairs,
        public array $supplies,
        public array $fused,
        public array $liftable,
        public array $places,
        public array $holdable,
        public array $linked,
        public array $clampable,
        public array $stand,
        private array $landing,
        public array $cables,
    ) {
    }

    public static function of(Trace $trace): self
    {
        $points = $trace->house->contacts;
        $supplies = $trace->circuit->installation->transformers();
        $faults = $inspect = [];
        foreach ($trace->list->repairs as $repair) {
            foreach ($repair->ends as $fault) {
                $faults[$fault->id] = $fault->title;
            }
            if ($repair->look !== null) {
                $inspect[$repair->id] = [Showing::SOUND, ...$repair->finds()];
            }
        }
        foreach ($trace->list->landing as $landing) {
            $faults[$landing->id()] = $landing->says;
        }
        $faults[Suspect::SOUND] = Suspect::sound(0.0)->title;
        $faults[Suspect::UNKNOWN] = Suspect::unknown(0.0)->title;
        $fused = array_filter($supplies, static fn ($t): bool => $t->fuseAmps !== null);
        $clamps = array_filter($points->all(), static fn (string $p): bool => At::read($p)->side !== null);
        $own = array_merge(
            [],
            ...array_map(
                static fn ($t): array => array_map(static fn (Lead $lead): string => At::lead($t->id, $lead)->id, [
                    Lead::Fuse,
                    Lead::Hot,
                    Lead::Common,
                    Lead::Winding,
                ]),
                $supplies,
            ),
        );

        return new self(
            array_map(static fn (CallName $c): string => $c->value, [CallName::Idle, ...$trace->calls()]),
            $points->all(),
            $trace->sight->answers,
            $inspect,
            $trace->catalogue->history->words(),
            $faults,
            $trace->list->repairs,
            array_column($supplies, 'id'),
            array_column($fused, 'id'),
            $points->liftable(),
            array_map(static fn (Place $p): string => $p->value, $points->places()),
            $points->holdable(),
            $trace->circuit->profile->link === null ? [] : ['in', 'out'],
            [...array_values($clamps), ...$own],
            $trace->places(),
            $trace->list->landing,
            array_column($trace->circuit->installation->cables, 'id'),
        );
    }

    /** @return array<string, mixed> as the protocol has it */
    public function toArray(): array
    {
        $repairs = [];
        foreach ($this->repairs as $id => $repair) {
            $repairs[$id] = [
                'words' => $repair->title,
                'parts' => $repair->parts,
                'ends' => array_map(static fn (Fault $f): string => $f->id, $repair->ends),
            ];
        }
        foreach ($this->landing as $fault) {
            $repairs[$fault->id()] = ['words' => $fault->says, 'parts' => [], 'ends' => [$fault->id()]];
        }

        return [
            'calls' => $this->calls,
            'points' => $this->points,
            'see' => $this->see,
            'inspect' => $this->inspect,
            'events' => array_column(EventKind::cases(), 'value'),
            'history' => array_keys($this->history),
            'schools' => self::SCHOOLS,
            'routines' => array_column(Routine::cases(), 'value'),
            'spots' => array_column(Spot::cases(), 'value'),
            'cables' => $this->cables,
            'faults' => $this->faults,
            'repairs' => $repairs,
        ];
    }
}
