<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Validation\Rule;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Words\Message;

/** Figures and findings of the supply and the old plate; null takes one back. */
final readonly class SetFacts implements Apart
{
    /** @param  array<string, mixed>  $facts only those that change */
    public function __construct(private array $facts)
    {
    }

    public static function op(): string
    {
        return 'set-facts';
    }

    public static function rules(): array
    {
        return [
            'facts' => [
                'required',
                'array:lineVolts,tapVolts,transformerVa,fuseAmps,commonBonded,plateLink,oldPower,oldSwitches',
            ],
            'facts.lineVolts' => ['nullable', 'numeric', 'between:90,300'],
            'facts.tapVolts' => ['nullable', 'numeric', 'between:90,300'],
            'facts.transformerVa' => ['nullable', 'numeric', 'between:10,200'],
            'facts.fuseAmps' => ['nullable', 'numeric', 'between:0.5,30'],
            'facts.commonBonded' => ['nullable', 'boolean'],
            'facts.plateLink' => ['nullable', Rule::enum(LinkState::class)],
            'facts.oldPower' => ['nullable', Rule::in(['battery', 'common', 'both', 'mechanical', 'unknown'])],
            'facts.oldSwitches' => ['nullable', Rule::in(['base', 'face', 'receiver', 'unknown'])],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(self::read($request));
    }

    public function apply(Job $job, User $by): Message
    {
        SurveyDraft::of($job)->keepFacts($this->facts);

        return Message::of('survey.set-facts.set', facts: array_keys($this->facts));
    }

    /** @return array<string, mixed> */
    private static function read(EditRequest $request): array
    {
        $facts = [];
        foreach ((array) $request->input('facts') as $key => $value) {
            $facts[(string) $key] = match (true) {
                $value === null => null,
                $key === 'commonBonded' => $request->boolean("facts.{$key}"),
                in_array($key, ['plateLink', 'oldPower', 'oldSwitches'], true) => $value,
                default => $request->float("facts.{$key}"),
            };
        }

        return $facts;
    }
}
