<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\FaultedCall;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Words\Message;

/**
 * What a set of passes and fails over the calls points to: every single fault of the catalogue is put into the circuit
 * and asked, call by call, for the same voltages and the same loads. Those that give exactly this pattern are named.
 */
final readonly class Pattern
{
    private const WITHIN_VOLTS = 4.0;

    public function __construct(private Circuit $circuit, private FaultCatalogue $faults)
    {
    }

    /**
     * @param  list<array{call: CallName, signs: array<string, bool>, volts: list<array{a: string, b: string,
     *     value: float}>}>  $seen  by voltage, each call as it was found
     * @return list<array{id: string, title: Message, where: string, fix: Message, prior: string}> faults that explain
     *     everything seen, commonest first
     */
    public function explain(array $seen): array
    {
        $fits = [];
        foreach ($this->faults->of($this->circuit) as $fault) {
            foreach ($seen as $call) {
                $point = $this->circuit->operate(FaultedCall::setup($this->circuit, $call['call'], $fault));
                $runs = Observables::of($this->circuit, $point, $fault);
                foreach ($call['signs'] as $observable => $works) {
                    if (($runs[$observable] ?? false) !== $works) {
                        continue 3;
                    }
                }
                foreach ($call['volts'] as $reading) {
                    if (
                        ! $point->network->knows($reading['a']) ||
                        ! $point->network->knows($reading['b']) ||
                        abs($point->phasors->magnitude($reading['a'], $reading['b']) - $reading['value']) >
                            self::WITHIN_VOLTS
                    ) {
                        continue 3;
                    }
                }
            }
            $fits[] = $fault;
        }
        usort($fits, static fn (Fault $a, Fault $b): int => $a->rank() <=> $b->rank());

        return array_map(
            static fn (Fault $f): array => [
                'id' => $f->id,
                'title' => $f->title,
                'where' => $f->where,
                'fix' => $f->fix,
                'prior' => $f->prior,
            ],
            $fits,
        );
    }
}
