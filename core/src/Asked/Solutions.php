<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Fault\Fault;

/** What was worked out of one house, each once: every view of it shares this. */
final class Solutions
{
    /** @var array<string, HouseState> the sound house, by hands and open fuses */
    private array $sound = [];

    /** @var array<string, Network> the dead house, factored once, by hands */
    private array $bases = [];

    /** @var array<string, Setup> of the sound house, by hands and open fuses */
    private array $setups = [];

    /** @var array<string, list<string>> what the thermostat closes, by call and wrong settings */
    private array $closes = [];

    /** @param  callable(): HouseState  $work */
    public function sound(string $key, callable $work): HouseState
    {
        return $this->sound[$key] ??= $work();
    }

    /** @param  callable(): Network  $work */
    public function base(string $key, callable $work): Network
    {
        return $this->bases[$key] ??= $work();
    }

    /** @param  callable(): Setup  $work */
    public function setup(string $key, callable $work): Setup
    {
        return $this->setups[$key] ??= $work();
    }

    /** @return list<string> printed */
    public function closes(Circuit $circuit, CallName $call, ?Fault $fault): array
    {
        $key = $call->value.'/'.($fault?->noCalls === true ? '-' : json_encode($fault->settings ?? []));

        return $this->closes[$key] ??= Closes::printed($circuit, $call, $fault);
    }
}
