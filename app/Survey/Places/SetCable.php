<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\CableLength;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Illuminate\Validation\Rule;
use Unionbit\Core\Wiring\Run;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Gauge and length of a cable, and how it lies. */
final readonly class SetCable implements Apart
{
    public function __construct(
        private string $cable,
        private int $gauge,
        private float $feet,
        private ?Run $run,
    ) {
    }

    public static function op(): string
    {
        return 'set-cable';
    }

    public static function rules(): array
    {
        return [
            'cable' => ['required', 'string', 'max:2'],
            'gauge' => ['required', Rule::in([18, 20, 22, 24])],
            'feet' => ['required', new CableLength()],
            'run' => ['nullable', Rule::enum(Run::class)],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(
            $request->text('cable'),
            $request->integer('gauge'),
            $request->float('feet'),
            $request->enum('run', Run::class),
        );
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $cable = $draft->cable($this->cable);
        $draft->keepHouse($draft->house->withCable($cable->measured($this->gauge, $this->feet, $this->run)));

        return Message::of(
            'survey.set-cable.cable-awg',
            cable: $this->cable,
            gauge: $this->gauge,
            feet: Quantity::of($this->feet, Unit::Feet),
        );
    }
}
