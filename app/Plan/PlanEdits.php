<?php

declare(strict_types=1);

namespace App\Plan;

use App\House\House;
use App\House\ProfileShelf;
use App\House\SurveyReadings;
use App\Models\Job;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\Offer\LetterToLetter;
use Unionbit\Core\Planning\Offer\PlainWords;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Planning\Plan\Choice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\MappingRules;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Jumper;

/** The edits that a plan takes. Each returns what was done in words. */
final class PlanEdits
{
    /** Chooses a thermostat: with the best plan that is offered for it here, or letter to letter where none is. */
    public static function choose(Job $job, string $profileId): string
    {
        $shelf = app(ProfileShelf::class);
        $profile =
            $shelf->find($job->crew_id, $profileId) ??
            throw ValidationException::withMessages([
                'profile' => "There is no thermostat profile {$profileId}. Use ".
                    implode(', ', array_map(static fn (Profile $p): string => $p->id, $shelf->of($job->crew_id))).
                    '.',
            ]);
        self::refuseStopped($job);
        $house = House::of($job)->installation;
        $best = Planner::of($house, $profile)->offered[0] ?? null;
        self::save(
            $job,
            $best === null
                ? new Plan($house, $profile, LetterToLetter::landing($house, $profile))
                : self::chosen($best, ''),
        );

        return "chose {$profile->title}";
    }

    /** Takes one of the plans that are offered, by its key, with the installer's own reason. */
    public static function take(Job $job, string $key, string $note, Weights $weights): string
    {
        self::refuseStopped($job);
        $list = Planner::of(House::of($job)->installation, self::plan($job)->profile, $weights);
        foreach ($list->offered as $candidate) {
            if (OfferView::key($candidate) === $key) {
                self::save($job, self::chosen($candidate, $note));

                return 'took the plan: '.lcfirst($candidate->title()).($note === '' ? '' : " ({$note})");
            }
        }
        throw ValidationException::withMessages([
            'key' => 'That plan is not offered any more: the survey has changed. Look at the plans again.',
        ]);
    }

    private static function chosen(PlanOffer $candidate, string $note): Plan
    {
        return $candidate->plan->chosen(
            new Choice(
                $candidate->title(),
                $candidate->codes(),
                $candidate->reasons(),
                PlainWords::of($candidate),
                $note,
            ),
        );
    }

    /** @param  ?string  $screw printed terminal of the plate; null caps the conductor */
    public static function land(Job $job, int $number, ?string $screw): string
    {
        $plan = self::plan($job);
        $conductor =
            $plan->installation->wallCable()?->conductor($number) ??
            throw ValidationException::withMessages(['number' => "There is no conductor {$number} at the wall."]);
        if ($screw !== null && $plan->profile->terminal($screw) === null) {
            $has = implode(', ', array_map(static fn ($t): string => $t->printed, $plan->profile->terminals));
            throw ValidationException::withMessages(['screw' => "No terminal {$screw} on this plate. It has {$has}."]);
        }
        self::save(
            $job,
            $plan->landed(
                $plan->landing->onWall($number, $screw === null ? End::free(EndState::Capped) : End::landed($screw)),
            ),
        );

        return $screw === null ? "caps {$conductor->name()}" : "lands {$conductor->name()} on {$screw}";
    }

    /** The equipment end: on a screw of the board, spliced to a conductor of the outdoor cable (@B2), or capped. */
    public static function board(Job $job, int $number, ?string $screw): string
    {
        $plan = self::plan($job);
        $conductor =
            $plan->installation->wallCable()?->conductor($number) ??
            throw ValidationException::withMessages(['number' => "There is no conductor {$number} at the wall."]);
        if ($screw !== null && preg_match('/^@B(\d{1,2})$/', $screw, $onto) === 1) {
            $target =
                $plan->installation->outdoorCable()?->conductor((int) $onto[1]) ??
                throw ValidationException::withMessages([
                    'screw' => "There is no outdoor conductor {$onto[1]} to splice to.",
                ]);
            self::save($job, $plan->landed($plan->landing->onBoard($number, End::spliced("B{$target->number}"))));

            return "splices {$conductor->name()} to outdoor {$target->name()}";
        }
        $printed = $plan->boardScrews();
        if ($screw !== null && ! in_array($screw, $printed, true)) {
            throw ValidationException::withMessages([
                'screw' => "No terminal {$screw} on this board. It has ".implode(', ', $printed).'.',
            ]);
        }
        self::save(
            $job,
            $plan->landed(
                $plan->landing->onBoard($number, $screw === null ? End::free(EndState::Capped) : End::landed($screw)),
            ),
        );

        return $screw === null
            ? "caps {$conductor->name()} at the board"
            : "lands {$conductor->name()} on {$screw} at the board";
    }

    public static function tie(Job $job, string $place, string $a, string $b): string
    {
        $plan = self::plan($job);
        $at = Place::from($place);
        $printed =
            $at === Place::Wall
                ? array_map(static fn (PlateTerminal $t): string => $t->printed, $plan->profile->terminals)
                : $plan->installation->archetype->printedAt($at);
        foreach ([$a, $b] as $screw) {
            if (! in_array($screw, $printed, true)) {
                throw ValidationException::withMessages([
                    'a' => "No terminal {$screw} there. It has ".implode(', ', $printed).'.',
                ]);
            }
        }
        $label = "{$a}–{$b} tie".($at === Place::Wall ? '' : ' at the board');
        if (
            $a === $b ||
            array_filter($plan->landing->jumpers, static fn (Jumper $j): bool => $j->label === $label) !== []
        ) {
            throw ValidationException::withMessages([
                'a' => $a === $b ? "A tie from {$a} to itself joins nothing." : "The {$label} is there already.",
            ]);
        }
        self::save($job, $plan->landed($plan->landing->withJumper(new Jumper($at, $a, $b, $label))));

        return "adds the {$label}";
    }

    public static function untie(Job $job, string $label): string
    {
        $plan = self::plan($job);
        if (array_filter($plan->landing->jumpers, static fn (Jumper $j): bool => $j->label === $label) === []) {
            throw ValidationException::withMessages(['label' => "There is no {$label} to take out."]);
        }
        self::save($job, $plan->landed($plan->landing->withoutJumper($label)));

        return "takes out the {$label}";
    }

    public static function link(Job $job, bool $in): string
    {
        $plan = self::plan($job);
        self::save($job, $plan->landed($plan->landing->withLink($in)));

        return $in ? 'link in' : 'link out';
    }

    /** Takes the plan for the job: only one without a finding that blocks. */
    public static function use(Job $job): string
    {
        self::refuseStopped($job);
        $blocking = array_filter(
            MappingRules::check(self::plan($job)),
            static fn (Finding $f): bool => $f->severity->blocks(),
        );
        if ($blocking !== []) {
            throw ValidationException::withMessages([
                'plan' => array_map(
                    static fn (Finding $f): string => "{$f->code}: {$f->title}. {$f->action}",
                    array_values($blocking),
                ),
            ]);
        }
        $job->planned_at = now();

        return 'uses this plan';
    }

    /** A stop of the screening really stops: nothing is planned or landed past it. */
    public static function refuseStopped(Job $job): void
    {
        $stops = SurveyReadings::stops($job);
        if ($stops !== []) {
            throw ValidationException::withMessages([
                'stop' => array_map(static fn (Finding $f): string => "{$f->code}: {$f->title}. {$f->action}", $stops),
            ]);
        }
    }

    private static function plan(Job $job): Plan
    {
        return House::of($job)->plan ??
            throw ValidationException::withMessages(['profile' => 'Choose a thermostat first.']);
    }

    private static function save(Job $job, Plan $plan): void
    {
        $job->plan = PlanFile::write($plan);
        $job->planned_at = null;
    }
}
