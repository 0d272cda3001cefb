<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\House;
use App\House\ProfileShelf;
use App\House\Refused;
use App\House\Stops;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Words\Message;

/** Chooses a thermostat: with the best plan that is offered for it here, or letter to letter where none is. */
final readonly class ChooseThermostat implements Edit
{
    public function __construct(private string $profile)
    {
    }

    public static function op(): string
    {
        return 'choose';
    }

    public static function rules(): array
    {
        return ['profile' => ['required', 'string', 'max:60']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('profile'));
    }

    public function apply(Job $job, User $by): Message
    {
        $shelf = app(ProfileShelf::class);
        $profile = $shelf->find($job->crew_id, $this->profile);
        if ($profile === null) {
            $has = implode(', ', array_map(static fn (Profile $p): string => $p->id, $shelf->of($job->crew_id)));
            throw Refused::at(
                'profile',
                Message::of(
                    'plan.choose-thermostat.there-no-thermostat-profile-use',
                    profile: $this->profile,
                    has: $has,
                ),
            );
        }
        Stops::refuse($job);
        $house = House::of($job)->installation;
        $best = Planner::of($house, $profile)->offered[0] ?? null;
        PlanDraft::write(
            $job,
            $best === null
                ? new Plan($house, $profile, LetterToLetter::landing($house, $profile))
                : Chosen::from($best, ''),
        );

        return Message::of('plan.choose-thermostat.chose', profile: $profile->title);
    }
}
