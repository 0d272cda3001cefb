<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Point\At;
use Unionbit\Core\Tracing\Test\Result;

/** What could not be reached, seen, looked at or called in this house: nothing of it is asked for again. */
final readonly class OutOfReach
{
    /**
     * @param  array<string, true>  $points
     * @param  array<string, true>  $signs
     * @param  array<string, true>  $looks
     * @param  array<string, true>  $calls
     */
    public function __construct(
        private array $points = [],
        private array $signs = [],
        private array $looks = [],
        private array $calls = [],
    ) {
    }

    /** After a test that could not be done. */
    public function with(Hands $hands, Probe $probe, string $why): self
    {
        $looks = $probe->inspect === '' ? [] : [$probe->inspect => true];

        return new self(
            array_fill_keys(At::ids(...$probe->points()), true) + $this->points,
            array_fill_keys($probe->see, true) + $this->signs,
            $looks + $this->looks,
            ($why === Result::NO_CALL ? [$hands->call->value => true] : []) + $this->calls,
        );
    }

    public function call(CallName $call): bool
    {
        return isset($this->calls[$call->value]);
    }

    public function sign(string $key): bool
    {
        return isset($this->signs[$key]);
    }

    public function look(string $repair): bool
    {
        return isset($this->looks[$repair]);
    }

    /** Whether a set-up asks for something of it. */
    public function hands(Hands $hands): bool
    {
        return $this->call($hands->call) ||
            ($this->points !== [] && array_any(self::moved($hands), fn (At $at): bool => $this->point($at)));
    }

    public function probe(Probe $probe): bool
    {
        return $this->look($probe->inspect) ||
            array_any($probe->points(), fn (At $at): bool => $this->point($at)) ||
            array_any($probe->see, fn (string $key): bool => $this->sign($key));
    }

    private function point(At $at): bool
    {
        return isset($this->points[$at->id]);
    }

    /** @return list<At> what has to be lifted and jumpered */
    private static function moved(Hands $hands): array
    {
        $jumpers = array_map(static fn (Jumper $j): array => [$j->a, $j->b], $hands->things->each(Jumper::class));

        return [...$hands->things->lifted(), ...array_merge(...$jumpers)];
    }
}
