<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Tracing\Suspect\Suspect;

/**
 * Whether a fault could open a fuse in any call: asked once, with nothing called and with everything called together,
 * against what the sound house then draws.
 */
final class Blows
{
    /** @var ?array<string, float> amperes of the sound house with everything called, by transformer */
    private ?array $sound = null;

    /** Under which the answers are kept. */
    private const KEPT = 'blows';

    /** @var ?array<string, array<string, float>> 1 for what could, by suspect */
    private ?array $known = null;

    private bool $isFresh = false;

    public function __construct(private readonly Circuit $circuit, private readonly ?Kept $kept = null)
    {
    }

    public function could(Suspect $suspect): bool
    {
        $this->known ??= $this->kept?->of(self::KEPT) ?? [];
        if (! isset($this->known[$suspect->id])) {
            $this->isFresh = true;
            $this->known[$suspect->id] = [self::KEPT => $this->work($suspect->faults) ? 1.0 : 0.0];
        }

        return $this->known[$suspect->id][self::KEPT] > 0.0;
    }

    public function keep(): void
    {
        if ($this->isFresh) {
            $this->kept?->keep(self::KEPT, $this->known ?? []);
            $this->isFresh = false;
        }
    }

    /** @param  list<Fault>  $faults */
    private function work(array $faults): bool
    {
        $edits = array_merge([], ...array_map(static fn (Fault $f): array => $f->edits, $faults));
        $all = $this->everything()->with(...$edits);
        $this->sound ??= $this->amps($this->everything());
        $drawn = $this->amps($all);
        $idle = $this->amps(Setup::calling()->withSlowFuse()->with(...$edits));
        foreach ($this->circuit->installation->transformers() as $transformer) {
            $opens = Circuit::FUSE_FACTOR * ($transformer->fuseAmps ?? INF);
            $more = $drawn[$transformer->id] > max($opens, $this->sound[$transformer->id] + 0.5 * $opens);
            if ($more || $idle[$transformer->id] > $opens) {
                return true;
            }
        }

        return false;
    }

    private function everything(): Setup
    {
        $printed = array_map(
            static fn (PlateTerminal $t): string => $t->printed,
            $this->circuit->profile->terminals,
        );

        return Setup::calling(...$printed)->withSlowFuse();
    }

    /** @return array<string, float> by transformer */
    private function amps(Setup $setup): array
    {
        $point = $this->circuit->operate($setup);
        $transformers = $this->circuit->installation->transformers();

        return array_combine(
            array_column($transformers, 'id'),
            array_map(static fn (Transformer $t): float => $point->mostAmps($t->id), $transformers),
        );
    }
}
