<?php

declare(strict_types=1);

namespace App\Prove\AsFound;

use App\House\ConductorView;
use App\House\House;
use App\Models\Job;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Job\PlateAsFound;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** The thermostat that hangs there: its letters, what powers it, where it switches, and what follows. */
final class AsFoundView
{
    /** @return array<string, mixed> */
    public static function of(Job $job): array
    {
        $house = House::of($job)->before();
        $installation = $house->installation;
        $standing = $house->standing;

        return [
            'letters' => array_values(
                array_map(
                    static fn (Conductor $c): array => [
                        'printed' => $c->near->terminal,
                        'name' => $c->name(),
                        ...ConductorView::insulation($c->colour, $c->stripe),
                    ],
                    array_filter(
                        $installation->wallConductors(),
                        static fn (Conductor $c): bool => $c->near->terminal !== null,
                    ),
                ),
            ),
            'power' => self::question($installation, 'oldPower'),
            'switches' => self::question($installation, 'oldSwitches'),
            'says' => $standing === null ? null : self::says($standing->profile),
            'reference' => $standing !== null && $standing->wiredCommon() === null
                    ? Message::of('prove.as-found.r-is-the-reference')
                    : null,
            'assumptions' => $standing === null ? [] : PlateAsFound::assumptions($installation),
            'lost' => $standing === null ? [] : self::lost($standing),
            'lacking' => $standing === null ? PlateAsFound::lacking($installation) : [],
        ];
    }

    /** @return array{key: string, text: Message, value: mixed, choices: list<array{value: string, label: Message}>} */
    private static function question(Installation $house, string $key): array
    {
        $question = Questions::named($key);
        $choices = $question->choices ?? [];

        return [
            'key' => $key,
            'text' => $question->text ?? Message::raw($key),
            'value' => Interview::answer($house, $key),
            'choices' => array_map(
                static fn (string|int $v): array => ['value' => (string) $v, 'label' => $choices[$v]],
                array_keys($choices),
            ),
        ];
    }

    private static function says(Profile $profile): Message
    {
        return Message::of(
            'prove.as-found.thermostat-of-this-house',
            power: $profile->power->label(),
            heat: $profile->heatStages,
            cool: $profile->coolStages,
            switches: match (true) {
                $profile->outputs === Place::Module => Message::of('job.questions.in-a-receiver')->within(),
                $profile->switchesInFace => Message::of('job.questions.in-the-face')->within(),
                default => Message::of('job.questions.in-the-base')->within(),
            },
        );
    }

    /** @return list<Message> calls that this plate cannot make, with why */
    private static function lost(Plan $plan): array
    {
        return array_map(
            static fn (array $lost): Message => Message::of(
                'prove.as-found.cannot-call',
                call: $lost['call']->label(),
            ),
            PlanProof::of($plan)->lost,
        );
    }
}
