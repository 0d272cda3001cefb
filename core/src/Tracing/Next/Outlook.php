<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Tracing\Belief\Worlds;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\World\Oracle;
use Unionbit\Core\Tracing\World\Prediction;
use Unionbit\Core\Tracing\World\World;

/** What every probe of a set-up would show in a world, kept: one solution answers all of them at once. */
final class Outlook
{
    /** @var array<string, array{list<Prediction>, bool}> by set-up, world and open fuses */
    private array $known = [];

    public int $solved = 0;

    public function __construct(
        private readonly World $world,
        private readonly Oracle $oracle,
        private readonly Worlds $worlds,
    ) {
    }

    /**
     * @param  list<string>  $open
     * @return array{list<Prediction>, bool} by probe of the candidate; and whether a fuse opens in it
     */
    public function of(Candidate $candidate, string $key, string $world, array $open): array
    {
        $full = "{$key}/{$world}/".implode(',', $open);
        if (! isset($this->known[$full])) {
            $this->solved++;
            $fault = $this->worlds->fault($world);
            $open = array_values(array_diff($open, $candidate->setup->breaker));
            $solved = $this->world->solve($candidate->setup, $fault, $open);
            $like = $solved->like;
            if ($like !== null && $like->seen === $solved->seen && $fault !== null) {
                return $this->known[$full] = $this->of($candidate, $key, '', $open);
            }
            $this->known[$full] = [
                array_map(
                    fn (Probe $p): Prediction => $this->oracle->of($solved, $candidate->setup, $p),
                    $candidate->probes,
                ),
                ($solved->point->openFuses ?? []) !== [],
            ];
        }

        return $this->known[$full];
    }
}
