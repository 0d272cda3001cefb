<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Phase;
use Unionbit\Core\Asked\Thing\DoorHeld;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Asked\Thing\LiftedEnd;
use Unionbit\Core\Asked\Thing\LinkTurned;
use Unionbit\Core\Asked\Thing\SupplyOff;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Thing\Unplugged;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Refusal;

/** What hands do to a house as the protocol has it, and back, against the words of one house. */
final readonly class HandsText
{
    private const KEYS = [
        'call',
        'power',
        'jumpers',
        'lifted',
        'unplugged',
        'face',
        'breaker',
        'phase',
        'held',
        'link',
        'probe',
    ];

    public function __construct(private Vocabulary $words)
    {
    }

    public function read(Given $test): Hands
    {
        $test->onlyHas(self::KEYS);
        [$isolated, $off] = $this->power($test);
        $call = $test->has('call') ? CallName::from($test->at('call')->oneOf($this->words->calls)) : CallName::Idle;
        $early = $test->has('phase') && $test->at('phase')->oneOf(['settled', 'early']) === 'early';
        $face = $test->has('face')
            ? Face::from($test->at('face')->oneOf(array_column(Face::cases(), 'value')))
            : Face::On;
        $point = fn (Given $given): At => At::read($given->oneOf($this->words->points));

        return Hands::calling($call)
            ->provedDead($isolated)
            ->at($early ? Phase::Early : Phase::Settled)
            ->with(...$isolated ? [] : array_map(static fn (string $id): Thing => new SupplyOff($id), $off))
            ->with(
                ...array_map(
                    static fn (Given $pair): Thing => new Jumper($point($pair->at(0)), $point($pair->at(1))),
                    $test->each('jumpers'),
                ),
            )
            ->with(...array_map($this->lifted(...), $this->list($test, 'lifted', $this->words->liftable)))
            ->with(
                ...array_map(
                    static fn (string $place): Thing => new Unplugged(Place::from($place)),
                    $this->list($test, 'unplugged', $this->words->places),
                ),
            )
            ->faced($face)
            ->broken(...$this->list($test, 'breaker', $this->words->fused))
            ->with(...$this->list($test, 'held', $this->words->holdable) === [] ? [] : [new DoorHeld()])
            ->with(
                ...$test->has('link')
                    ? [new LinkTurned($test->at('link')->oneOf($this->words->linked) === 'in')]
                    : [],
            );
    }

    /** @return array{bool, list<string>} whether all of it is off, and supplies without their line */
    private function power(Given $test): array
    {
        $power = $test->at('power');
        if (! is_array($power->value)) {
            return [$power->value !== null && $power->oneOf(['on', 'off']) === 'off', []];
        }
        $off = [];
        foreach ($test->entries('power') as $id => $state) {
            if (! in_array($id, $this->words->supplies, true)) {
                throw new Refusal($state->pointer, $id, $this->words->supplies);
            }
            if ($state->oneOf(['on', 'off']) === 'off') {
                $off[] = $id;
            }
        }

        return [count($off) === count($this->words->supplies), $off];
    }

    private function lifted(string $name): Thing
    {
        $at = At::read($name);

        return $at->part !== null && $at->lead !== null ? new LeadLifted($at->part, $at->lead) : new LiftedEnd($at);
    }

    /**
     * @param  list<string>  $allowed
     * @return list<string>
     */
    private function list(Given $test, string $key, array $allowed): array
    {
        return array_map(static fn (Given $one): string => $one->oneOf($allowed), $test->each($key));
    }

    /** @return array<string, mixed> without what is as it always is */
    public static function of(Hands $hands, Circuit $circuit): array
    {
        return array_filter(
            [...self::whole($hands, $circuit), 'phase' => $hands->phase === Phase::Early ? 'early' : null],
            static fn (mixed $v): bool => $v !== [] && $v !== null,
        );
    }

    /** @return array<string, mixed> everything of it */
    public static function whole(Hands $hands, Circuit $circuit): array
    {
        $things = $hands->things;
        $link = $things->each(LinkTurned::class)[0] ?? null;

        return [
            'call' => $hands->call->value,
            'power' => match (true) {
                $hands->isolated => 'off',
                $hands->off() !== [] => array_fill_keys($hands->off(), 'off'),
                default => 'on',
            },
            'jumpers' => array_map(
                static fn (Jumper $j): array => [$j->a->id, $j->b->id],
                $things->each(Jumper::class),
            ),
            'lifted' => At::ids(...$things->lifted()),
            'unplugged' => array_map(
                static fn (Unplugged $u): string => $u->place->value,
                $things->each(Unplugged::class),
            ),
            'face' => $hands->face()->value,
            'breaker' => $hands->breakers(),
            'held' => $things->any(DoorHeld::class) ? [DoorHeld::DOOR] : [],
            'link' => $link === null ? null : ($link->isIn($circuit) ? 'in' : 'out'),
        ];
    }
}
