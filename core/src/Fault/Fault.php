<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\CircuitEdit;

/** One single fault that a job's circuit can have: an entry of the catalogue applied to a part of this house. */
final readonly class Fault
{
    /**
     * @param  string  $id  "conductor-open:A3"
     * @param  string  $entry  id of the catalogue's entry
     * @param  list<CircuitEdit>  $edits
     * @param  list<string>  $forces  observables that run whatever the circuit does (welded contacts)
     * @param  list<string>  $blocks  observables that never run (line power off)
     * @param  array<string, string>  $settings  settings that it stands for, by key
     * @param  bool  $noCalls  the thermostat closes nothing
     * @param  string  $prior  common, occasional or rare
     */
    public function __construct(
        public string $id,
        public string $entry,
        public string $title,
        public string $where,
        public array $edits,
        public array $forces,
        public array $blocks,
        public array $settings,
        public bool $noCalls,
        public string $prior,
        public string $symptoms,
        public string $fix,
        public int $minutes,
        public bool $intermittent,
    ) {
    }
}
