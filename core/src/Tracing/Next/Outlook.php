<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Asked\Show\Shows;
use Unionbit\Core\Tracing\Belief\Worlds;

/** What every probe of a set-up would show in a world, kept: one solution answers all of them at once. */
final class Outlook
{
    /** @var array<string, array{list<Showing>, bool}> by set-up, world and open fuses */
    private array $known = [];

    public int $solved = 0;

    public function __construct(
        private readonly AskedHouse $house,
        private readonly Shows $oracle,
        private readonly Worlds $worlds,
    ) {
    }

    /**
     * @return array{list<Showing>, bool} by probe of the candidate; and whether a fuse opens in it
     */
    public function of(Candidate $candidate, string $key, string $world, OpenFuses $open): array
    {
        $full = "{$key}/{$world}/".$open->key();
        if (! isset($this->known[$full])) {
            $this->solved++;
            $fault = $this->worlds->fault($world);
            $solved = $this->house->with($fault, $open)->state($candidate->setup);
            $like = $solved->like;
            if ($like !== null && $like->seen === $solved->seen && $fault !== null) {
                return $this->known[$full] = $this->of($candidate, $key, '', $open);
            }
            $this->known[$full] = [
                array_map(
                    fn (Probe $p): Showing => $this->oracle->of($solved, $candidate->setup, $p),
                    $candidate->probes,
                ),
                ($solved->point->openFuses ?? []) !== [],
            ];
        }

        return $this->known[$full];
    }
}
