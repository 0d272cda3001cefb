<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\House\House;
use App\House\Refused;
use App\Models\Job;
use App\Models\Kind\Stage;
use App\Records\Power\PowerFlag;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use App\Records\Taken;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Words\Message;

/** The circuit and set-up in which a reading is taken or asked for: the stage, the step or call, the power flag. */
final readonly class ReadingContext
{
    private function __construct(public AskedHouse $house, public Hands $hands, public ?StepRecord $step)
    {
    }

    /** @param  ?int  $seq  record at which it was read; null for now */
    public static function of(
        Job $job,
        Stage $stage,
        ?string $step,
        ?string $call,
        MeterMode $mode,
        PowerFlag $flag,
        ?int $seq = null,
        ?Taken $then = null,
    ): self {
        $context = self::bare($job, $stage, $step, $call, $mode, $flag, $then);

        // A plan is tried out in thought: nothing that stands on the wall is in it.
        return $stage === Stage::Plan
            ? $context
            : new self(
                $context->house,
                $context->hands->beside(SetupStrip::read($job)->before($seq ?? $then?->before)),
                $context->step,
            );
    }

    private static function bare(
        Job $job,
        Stage $stage,
        ?string $step,
        ?string $call,
        MeterMode $mode,
        PowerFlag $flag,
        ?Taken $then,
    ): self {
        $house = House::of($job);
        $standing = $stage === Stage::Prove ? $house->standing : $house->plan;
        if ($stage === Stage::Survey || $standing === null) {
            return new self(
                AskedHouse::of($house->circuitAsFound()),
                self::powered(Hands::calling(), $flag, $mode, false),
                null,
            );
        }
        if ($step !== null) {
            $record =
                StepRecord::all($job, $then)[$step] ??
                throw Refused::at(
                    'step',
                    Message::of('records.reading-context.there-no-proving-step-for', step: $step),
                );

            return new self(
                AskedHouse::of($standing->circuit()),
                self::powered($record->step->hands, $flag, $mode, false),
                $record,
            );
        }
        $table = CallTable::needed($house->installation->archetype);
        $name = CallName::tryFrom($call ?? 'idle');
        if ($name === null || ! $table->has($name)) {
            throw Refused::at(
                'call',
                Message::of(
                    'records.reading-context.house-has-no-call-has',
                    call: (string) $call,
                    calls: array_map(static fn (CallName $c): string => $c->value, $table->calls()),
                ),
            );
        }

        return new self(
            AskedHouse::of($standing->circuit()),
            self::powered(Hands::calling($name), $flag, $mode, $stage === Stage::Plan),
            null,
        );
    }

    /** @throws Refused for a point that this circuit does not have */
    public function expect(MeterMode $mode, string $a, string $b): Expectation
    {
        $points = $this->house->circuit->netlist($this->house->setup($this->hands))->points;
        foreach (['a' => $a, 'b' => $b] as $probe => $point) {
            if (! isset($points[$point]) || ! $points[$point]->probeable) {
                throw Refused::at(
                    $probe,
                    Message::of('records.reading-context.there-no-point-put-probe', point: $point),
                );
            }
        }

        return $this->house->expects($this->hands, $mode, $a, $b);
    }

    /**
     * Volts and amperes on a live house, ohms on an isolated one: what the flag says decides what a meter would show.
     */
    private static function powered(Hands $hands, PowerFlag $flag, MeterMode $mode, bool $simulated): Hands
    {
        $ohms = $mode === MeterMode::Ohms || $mode === MeterMode::Beep;

        return match (true) {
            $simulated => $ohms ? Hands::dead() : $hands,
            $flag->isIsolated() => $hands->powerOff(),
            default => $hands,
        };
    }
}
