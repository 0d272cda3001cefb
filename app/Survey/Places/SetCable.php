<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\CableLength;
use App\Models\Job;
use App\Models\User;
use App\Survey\Edit\SurveyDraft;
use Illuminate\Validation\Rule;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Gauge and length of a cable. */
final readonly class SetCable implements Edit
{
    public function __construct(private string $cable, private int $gauge, private float $feet)
    {
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
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('cable'), $request->integer('gauge'), $request->float('feet'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $cable = $draft->cable($this->cable);
        $draft->keepHouse(
            $draft->house->withCable(
                new Cable(
                    $cable->id,
                    $cable->from,
                    $cable->to,
                    $this->gauge,
                    $this->feet,
                    $cable->conductors,
                    $cable->kind,
                ),
            ),
        );

        return Message::of(
            'survey.set-cable.cable-awg',
            cable: $this->cable,
            gauge: $this->gauge,
            feet: Quantity::of($this->feet, Unit::Feet),
        );
    }
}
