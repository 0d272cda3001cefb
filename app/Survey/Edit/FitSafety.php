<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Validation\Rule;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\SafetyKind;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** Float, pump and load-shedding switches as found: which conductors each breaks. */
final readonly class FitSafety implements Apart
{
    /**
     * @param  list<array{id: string, label: string, breaks: list<string>, relay: bool, place: string,
     *     kind: string}>  $devices
     */
    public function __construct(private array $devices)
    {
    }

    public static function op(): string
    {
        return 'safety';
    }

    public static function rules(): array
    {
        return [
            'safety' => ['present', 'array', 'max:6'],
            'safety.*.id' => ['required', 'string', 'regex:/^[a-z][a-z0-9-]{0,19}$/', 'distinct'],
            'safety.*.label' => ['required', 'string', 'max:40'],
            'safety.*.breaks' => ['present', 'array', 'max:6'],
            'safety.*.breaks.*' => ['string', 'max:12'],
            'safety.*.relay' => ['required', 'boolean'],
            'safety.*.place' => ['nullable', Rule::enum(Place::class)],
            'safety.*.kind' => ['nullable', Rule::enum(SafetyKind::class)],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(
            array_map(
                static fn (int $n): array => [
                    'place' => $request->nullableString("safety.{$n}.place") ?? Place::Indoor->value,
                    'kind' => $request->nullableString("safety.{$n}.kind") ?? SafetyKind::Float->value,
                    'id' => $request->text("safety.{$n}.id"),
                    'label' => $request->text("safety.{$n}.label"),
                    'breaks' => $request->strings("safety.{$n}.breaks"),
                    'relay' => $request->boolean("safety.{$n}.relay"),
                ],
                array_keys(array_values((array) $request->input('safety'))),
            ),
        );
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        foreach ($this->devices as $index => $device) {
            $screws = $draft->house->archetype->printedAt(Place::from($device['place']));
            if ($device['breaks'] === []) {
                throw Refused::at(
                    "safety.{$index}",
                    Message::of('survey.fit-safety.say-which-conductor-breaks', label: $device['label']),
                );
            }
            $unknown = implode(', ', array_diff($device['breaks'], $screws));
            if ($unknown !== '') {
                $has = implode(', ', $screws);
                throw Refused::at(
                    "safety.{$index}",
                    Message::of(
                        'survey.fit-safety.cannot-break-board-has',
                        label: $device['label'],
                        unknown: $unknown,
                        has: $has,
                    ),
                );
            }
        }
        // What stands there is the answer, both ways.
        $sheds = in_array(SafetyKind::Shedding->value, array_column($this->devices, 'kind'), true);
        $answered = Interview::answer($draft->house, 'shedding') === 'shed';
        $survey =
            $sheds === $answered ? $job->survey : Interview::put($job->survey, 'shedding', $sheds ? 'shed' : null);
        $facts = is_array($survey['facts'] ?? null) ? $survey['facts'] : [];
        $draft->keep([...$survey, 'facts' => [...$facts, 'safety' => $this->devices]]);

        return Message::of('survey.fit-safety.set-safety');
    }
}
