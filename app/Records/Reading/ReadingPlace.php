<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\Models\Job;
use App\Models\Kind\Stage;
use App\Records\Power\PowerFlag;
use App\Records\Taken;
use Unionbit\Core\Circuit\Meter\MeterMode;

/** Where and how a reading is taken: stage, step or simulated call, meter mode, and the two points. */
final readonly class ReadingPlace
{
    public function __construct(
        public Stage $stage,
        public MeterMode $mode,
        public string $a,
        public string $b,
        public ?string $step = null,
        public ?string $call = null,
    ) {
    }

    /** Taken in Prove outside the steps. */
    public function isLoose(): bool
    {
        return $this->stage === Stage::Prove && $this->step === null;
    }

    public function is(self $other): bool
    {
        return get_object_vars($this) === get_object_vars($other);
    }

    public function ofStep(string $step): self
    {
        return new self($this->stage, $this->mode, $this->a, $this->b, $step, $this->call);
    }

    /**
     * @param  ?PowerFlag  $flag  of another moment than now
     * @param  ?int  $seq  of the record at that moment
     */
    public function context(
        Job $job,
        ?PowerFlag $flag = null,
        ?int $seq = null,
        ?Taken $then = null,
    ): ReadingContext {
        return ReadingContext::of(
            $job,
            $this->stage,
            $this->step,
            $this->call,
            $this->mode,
            $flag ?? PowerFlag::of($job, $then),
            $seq,
            $then,
        );
    }
}
