<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Fault\Fault;

/** Faults that change the circuit in the same way are one world: it is solved once for all of them. */
final class Worlds
{
    /** @var array<string, string> key by ids */
    private array $keys = [];

    /** @var array<string, ?Fault> by key */
    private array $faults = ['' => null];

    /** @param  list<Fault>  $left */
    public function key(array $left): string
    {
        if ($left === []) {
            return '';
        }
        $ids = implode('+', array_map(static fn (Fault $f): string => $f->id, $left));
        if (! isset($this->keys[$ids])) {
            $together = count($left) === 1 ? $left[0] : Fault::together(...$left);
            $key = md5(
                serialize([
                    $together->edits,
                    $together->forces,
                    $together->blocks,
                    $together->settings,
                    $together->noCalls,
                    $together->fanTurned,
                    in_array('display-dead', array_map(static fn (Fault $f): string => $f->entry, $left), true),
                    in_array('door-open', array_map(static fn (Fault $f): string => $f->entry, $left), true),
                ]),
            );
            $this->keys[$ids] = $key;
            $this->faults[$key] ??= $together;
        }

        return $this->keys[$ids];
    }

    public function fault(string $key): ?Fault
    {
        return $this->faults[$key];
    }
}
