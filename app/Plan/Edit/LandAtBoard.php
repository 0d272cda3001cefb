<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Job;
use App\Models\User;
use Unionbit\Core\Wiring\End;

/** The equipment end: on a screw of the board, spliced to a conductor of the outdoor cable (@B2), or capped. */
final readonly class LandAtBoard implements Edit
{
    public function __construct(private int $number, private ?string $screw)
    {
    }

    public static function op(): string
    {
        return 'board';
    }

    public static function rules(): array
    {
        return ['number' => ['required', 'integer', 'between:1,50'], 'screw' => ['nullable', 'string', 'max:12']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->integer('number'), $request->nullableString('screw'));
    }

    public function apply(Job $job, User $by): string
    {
        $draft = PlanDraft::of($job);
        $conductor = $draft->conductor($this->number);
        if ($this->screw !== null && preg_match('/^@B(\d{1,2})$/', $this->screw, $onto) === 1) {
            $target =
                $draft->plan->installation->outdoorCable()?->conductor((int) $onto[1]) ??
                throw Refused::at('screw', "There is no outdoor conductor {$onto[1]} to splice to.");
            $end = End::spliced("B{$target->number}");
            $draft->keep($draft->plan->landed($draft->plan->landing->onBoard($this->number, $end)));

            return "splices {$conductor->name()} to outdoor {$target->name()}";
        }
        $printed = $draft->plan->boardScrews();
        if ($this->screw !== null && ! in_array($this->screw, $printed, true)) {
            $has = implode(', ', $printed);
            throw Refused::at('screw', "No terminal {$this->screw} on this board. It has {$has}.");
        }
        $draft->keep($draft->plan->landed($draft->plan->landing->onBoard($this->number, PlanDraft::end($this->screw))));

        return $this->screw === null
            ? "caps {$conductor->name()} at the board"
            : "lands {$conductor->name()} on {$this->screw} at the board";
    }
}
