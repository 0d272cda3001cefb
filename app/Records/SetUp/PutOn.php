<?php

declare(strict_types=1);

namespace App\Records\SetUp;

use App\House\House;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Record\TemporaryThing;
use App\Records\Append;
use App\Records\Power\PowerFlag;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Standing\Danger;
use Unionbit\Core\Circuit\Standing\Thing;
use Unionbit\Core\Circuit\Standing\ThingKind;
use Unionbit\Core\Words\Message;

/** Puts a temporary thing on, or back; what meets a live conductor is done with the power off and proved dead. */
final class PutOn
{
    public static function record(Job $job, User $user, string $id, Thing $thing, bool $stands): TemporaryThing
    {
        return Append::row(TemporaryThing::class, $id, $job, $user, static function () use (
            $job,
            $thing,
            $stands,
        ): array {
            $circuit = House::of($job)->circuit();
            $label = $thing->label($circuit);
            $strip = SetupStrip::of($job);
            if ($stands && ! $thing->isOf($circuit)) {
                throw Refused::at('a', Message::of('records.put-on.nothing-there', thing: $label));
            }
            if ($stands === $strip->has($thing)) {
                throw Refused::at(
                    'kind',
                    Message::of(
                        $stands ? 'records.put-on.stands-already' : 'records.put-on.stands-not',
                        thing: $label,
                    ),
                );
            }
            $danger =
                $stands && $thing->kind === ThingKind::Jumper
                    ? Danger::of($circuit, $strip->on(Setup::calling(), $circuit), $thing->a, $thing->b)
                    : null;
            if ($danger !== null) {
                throw Refused::at('b', Message::of('records.put-on.harms', thing: $label, danger: $danger->value));
            }
            $flag = PowerFlag::of($job);
            if ($thing->kind->needsIsolated() && ! $flag->isIsolated()) {
                throw Refused::at(
                    'power',
                    Message::of('records.put-on.with-power-off', thing: $label, flag: $flag->says()),
                );
            }

            return ['kind' => $thing->kind, 'a' => $thing->a, 'b' => $thing->b, 'stands' => $stands];
        });
    }
}
