<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\File;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Choice;
use Unionbit\Core\Planning\Plan\HouseChanges;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Wiring\Landing;

/** Reads and writes the plan part of a job document. */
final class PlanFile
{
    /** @throws InvalidData */
    public static function read(
        mixed $json,
        Installation $installation,
        Profile $profile,
        string $pointer = '',
    ): Plan {
        $node = Field::root(Version1::is($json) ? Version1::plan($json) : $json, $pointer);

        $changes = new HouseChanges(
            $node->has('pulled') ? SurveyFile::cable($node->at('pulled')) : null,
            $node->has('safety') ? array_map(SurveyFile::device(...), $node->each('safety')) : null,
            $node->bool('sharedKit', false),
            $node->bool('elsewhere', false),
            $node->strings('mended'),
            $installation->facts->sharedKit,
        );

        $house = $changes->applied($installation);
        // A conductor that the survey has no more lands nowhere.
        $there = array_flip(array_map(static fn (Conductor $c): string => $c->id(), $house->wallConductors()));

        return new Plan(
            $house,
            $profile,
            new Landing(
                array_intersect_key(self::ends($node, 'wall'), $there),
                array_intersect_key(self::ends($node, 'board'), $there),
                $node->bool('linkIn', true),
                self::ties($node, $house),
                $node->bool('plugIn', false),
            ),
            $changes,
            $node->has('choice') ? Choice::read($node->at('choice')) : null,
        );
    }

    /** @return array<string, mixed> */
    private static function writeEnd(End $end): array
    {
        return $end->toArray();
    }

    /** @return array<string, mixed> */
    public static function write(Plan $plan): array
    {
        return [
            'profile' => $plan->profile->id,
            'linkIn' => $plan->landing->linkIn,
            'wall' => array_map(self::writeEnd(...), $plan->landing->wall),
            'board' => array_map(self::writeEnd(...), $plan->landing->board),
            'jumpers' => array_map(
                static fn (Jumper $j): array => [
                    'place' => $j->place->value,
                    'a' => $j->a,
                    'b' => $j->b,
                    'label' => $j->label,
                ],
                $plan->landing->jumpers,
            ),
            ...$plan->installation->jumpers === [] ? [] : ['foundTies' => true],
            ...$plan->landing->plugIn ? ['plugIn' => true] : [],
            ...$plan->changes->pulled === null ? [] : ['pulled' => SurveyFile::writeCable($plan->changes->pulled)],
            ...$plan->changes->safety === null
                ? []
                : ['safety' => array_map(SurveyFile::writeDevice(...), $plan->changes->safety)],
            ...$plan->changes->sharedKit ? ['sharedKit' => true] : [],
            ...$plan->changes->elsewhere ? ['elsewhere' => true] : [],
            ...$plan->changes->mended === [] ? [] : ['mended' => $plan->changes->mended],
            ...$plan->choice === null ? [] : ['choice' => $plan->choice->toArray()],
        ];
    }

    /**
     * Every tie of the plan. A file from before they were all listed has only those that the plan added: what was found
     * stood then.
     *
     * @return list<Jumper>
     */
    private static function ties(Field $node, Installation $house): array
    {
        $ties = array_map(
            static fn (Field $n): Jumper => new Jumper(
                $n->enum('place', Place::class),
                $n->string('a'),
                $n->string('b'),
                $n->string('label'),
            ),
            $node->each('jumpers'),
        );

        return $node->bool('foundTies', false) ? $ties : [...$house->jumpers, ...$ties];
    }

    /** @return array<string, End> by conductor */
    private static function ends(Field $node, string $key): array
    {
        $ends = [];
        foreach ($node->keys($key) as $id) {
            $ends[$id] = SurveyFile::end($node->at($key)->at($id));
        }

        return $ends;
    }
}
