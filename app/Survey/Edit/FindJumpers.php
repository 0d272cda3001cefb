<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Validation\Rule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** The jumpers that were found in place. */
final readonly class FindJumpers implements Apart
{
    /** @param  list<array{place: string, a: string, b: string, label: string}>  $jumpers */
    public function __construct(private array $jumpers)
    {
    }

    public static function op(): string
    {
        return 'jumpers';
    }

    public static function rules(): array
    {
        return [
            'jumpers' => ['present', 'array', 'max:8'],
            'jumpers.*.place' => ['required', Rule::enum(Place::class)],
            'jumpers.*.a' => ['required', 'string', 'max:12'],
            'jumpers.*.b' => ['required', 'string', 'max:12'],
            'jumpers.*.label' => ['required', 'string', 'max:20'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(
            array_map(
                static fn (int $n): array => [
                    'place' => $request->text("jumpers.{$n}.place"),
                    'a' => $request->text("jumpers.{$n}.a"),
                    'b' => $request->text("jumpers.{$n}.b"),
                    'label' => $request->text("jumpers.{$n}.label"),
                ],
                array_keys(array_values((array) $request->input('jumpers'))),
            ),
        );
    }

    public function apply(Job $job, User $by): Message
    {
        foreach ($this->jumpers as $index => $jumper) {
            if (strcasecmp($jumper['a'], $jumper['b']) === 0) {
                throw Refused::at(
                    "jumpers.{$index}",
                    Message::of('survey.find-jumpers.jumper-from-itself-joins-nothing', a: $jumper['a']),
                );
            }
        }
        SurveyDraft::of($job)->keep([...$job->survey, 'jumpers' => $this->jumpers]);
        if ($this->jumpers === []) {
            return Message::of('survey.find-jumpers.no-jumpers-in-place');
        }
        $found = array_map(
            static fn (array $j): Message => Message::of(
                'survey.find-jumpers.at',
                a: $j['a'],
                b: $j['b'],
                place: Place::from($j['place']),
            ),
            $this->jumpers,
        );

        return Message::of('survey.find-jumpers.jumpers-in-place', found: $found);
    }
}
