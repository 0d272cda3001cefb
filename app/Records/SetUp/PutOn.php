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
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Danger;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Things;
use Unionbit\Core\Circuit\Circuit;
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
            self::gate($job, House::of($job)->circuit(), $thing, $stands);
            [$a, $b] = [...$thing->names(), '', ''];

            return ['kind' => $thing->kind(), 'a' => $a, 'b' => $b, 'stands' => $stands];
        });
    }

    /** @throws Refused for what is not there or stands already, does harm, or meets what is live */
    private static function gate(Job $job, Circuit $circuit, Thing $thing, bool $stands): void
    {
        $label = $thing->label($circuit);
        $strip = SetupStrip::of($job);
        if ($stands && ! $thing->isOf($circuit)) {
            throw Refused::at('a', Message::of('records.put-on.nothing-there', thing: $label));
        }
        if ($stands === $strip->has($thing)) {
            throw Refused::at(
                'kind',
                Message::of($stands ? 'records.put-on.stands-already' : 'records.put-on.stands-not', thing: $label),
            );
        }
        $danger = $stands && $thing instanceof Jumper ? self::danger($circuit, $strip, $thing) : null;
        if ($danger !== null) {
            throw Refused::at('b', Message::of('records.put-on.harms', thing: $label, danger: $danger->value));
        }
        $flag = PowerFlag::of($job);
        if (($thing->kind()?->needsIsolated() ?? true) && ! $flag->isIsolated()) {
            throw Refused::at(
                'power',
                Message::of('records.put-on.with-power-off', thing: $label, flag: $flag->says()),
            );
        }
    }

    private static function danger(Circuit $circuit, Things $strip, Jumper $jumper): ?Danger
    {
        $setup = AskedHouse::of($circuit)->setup(Hands::calling()->beside($strip));

        return Danger::of($circuit, $setup, $jumper->a->id, $jumper->b->id);
    }
}
