<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\FoundTies;
use Unionbit\Core\Planning\Plan\HouseChanges;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Planning\Way\LeftOff;
use Unionbit\Core\Planning\Way\NewCable;
use Unionbit\Core\Planning\Way\Overflow;
use Unionbit\Core\Planning\Way\TiedAtBoard;
use Unionbit\Core\Planning\Way\Way;
use Unionbit\Core\Planning\Way\Wo01Spare;
use Unionbit\Core\Planning\Way\Wo01Splice;
use Unionbit\Core\Planning\Way\Wo02NewCable;
use Unionbit\Core\Planning\Way\Wo03FanAsCommon;
use Unionbit\Core\Planning\Way\Wo04SharedKit;
use Unionbit\Core\Planning\Way\Wo07PlugIn;
use Unionbit\Core\Planning\Way\Wo10DropStage;
use Unionbit\Core\Planning\Way\Wo11TieEmergency;
use Unionbit\Core\Planning\Way\Wo12OtherPosition;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/**
 * All sensible landings of a house on a thermostat: letter to letter where that is enough, else every way out of
 * each missing conductor, one after the other. The planner proposes; the circuit decides which of them work.
 */
final class Planner
{
    public const MOST_SHOWN = 5;

    private const MOST_DRAFTS = 48;

    /** @return list<Way> */
    public static function ways(): array
    {
        return [
            new Wo01Spare(),
            new Wo01Splice(),
            new Wo11TieEmergency(),
            new Wo03FanAsCommon(),
            new Wo04SharedKit(),
            new Wo10DropStage(),
            new LeftOff(),
            new TiedAtBoard(),
            new Wo07PlugIn(),
        ];
    }

    /** Everything tried, the offered ones first and by rank. */
    public static function of(Installation $house, Profile $profile, ?Weights $weights = null): PlanList
    {
        $drafts = self::drafts($house, $profile);

        return PlanList::of(
            array_map(PlanOffer::of(...), $drafts),
            $weights ?? new Weights(),
            self::ruledOut($house, $profile),
        );
    }

    /** @return list<Message> what would have helped and cannot be done in this house */
    private static function ruledOut(Installation $house, Profile $profile): array
    {
        $base = new Draft($house, $profile, LetterToLetter::landing($house, $profile));
        $missing = $base->missing();
        $old = $missing === null ? null : NewCable::old($base, $missing);
        $said = [];
        if ($old?->run !== null && ! $old->run->pulls()) {
            $said[] = Message::of('planning.wo02.cannot-be-pulled', cable: $old->id, run: $old->run);
        }
        if ($missing !== null && count($house->wallCables()) > 1) {
            $said[] = Message::of('planning.wo12.several-cables');
        }

        return $said;
    }

    /** @return list<Draft> complete ones */
    public static function drafts(Installation $house, Profile $profile): array
    {
        $done = [];
        foreach (self::bases($house, $profile) as $base) {
            $open = [$base];
            $seen = [];
            while ($open !== [] && count($seen) < self::MOST_DRAFTS) {
                $draft = array_shift($open);
                $key = $draft->key().implode(',', $draft->without);
                if (isset($seen[$key])) {
                    continue;
                }
                $seen[$key] = true;
                $missing = $draft->missing();
                if ($missing === null) {
                    $done[$draft->key()] ??= $draft;

                    continue;
                }
                foreach (self::ways() as $way) {
                    array_push($open, ...$way->out($draft, $missing));
                }
            }
            foreach (self::cablesFor($base) as $cable) {
                $done[$cable->key()] ??= $cable;
            }
        }

        return array_values(
            array_map(static fn (Draft $d): Draft => self::fullAir(self::tied(self::found($d))), $done),
        );
    }

    /**
     * MR17: a board that takes its DEH on R as "all is normal" has the two tied where no conductor brings it: full air
     * always, and no dehumidifying, which the proof says.
     */
    private static function fullAir(Draft $draft): Draft
    {
        $archetype = $draft->house->archetype;
        $signal = $archetype->boardTerminal(TerminalName::Deh);
        $hot = $signal === null ? null : self::hotAt($archetype, $signal->place);
        if (
            $archetype->dehumidify !== Dehumidify::Opens ||
            $signal === null ||
            $hot === null ||
            ($draft->profile->outputs !== Place::Wall && $draft->profile->serving(TerminalName::Deh) !== null) ||
            $draft->carrier(TerminalName::Deh) !== null ||
            $draft->landing->tie(Jumper::tie($signal->place, $hot->printed, $signal->printed)) !== null
        ) {
            return $draft;
        }

        return $draft->taking(
            new WayOut(
                code: 'MR17',
                text: Message::of('planning.planner.tied-to', signal: $signal->printed, hot: $hot->printed),
                part: Message::of('planning.wo10.jumper-with-pigtail'),
                cost: 0.2,
                minutes: 4,
                trips: 1,
                risk: 0,
            ),
            $draft->landing->withJumper(Jumper::tie($signal->place, $hot->printed, $signal->printed)),
        );
    }

    private static function hotAt(Archetype $archetype, Place $place): ?EquipmentTerminal
    {
        foreach ($archetype->boardTerminals() as $terminal) {
            if ($terminal->place === $place && $terminal->name->isHot()) {
                return $terminal;
            }
        }

        return null;
    }

    /** @return list<Draft> letter to letter, with the float switch where it is, and where it could be */
    private static function bases(Installation $house, Profile $profile): array
    {
        $landing = LetterToLetter::landing($house, $profile);
        $base = new Draft($house, $profile, $landing, changes: HouseChanges::kept($house, $profile));
        $bases = [$base];
        foreach (Overflow::drier($base) as $placement) {
            $bases[] = $base->taking(
                $placement['way'],
                $base->landing,
                $base->changes->withSafety($placement['safety']),
            );
        }

        foreach ($bases as $tied) {
            foreach ((new FoundTies($house, $profile))->open($tied->landing) as $tie) {
                $bases[] = $tied->taking(
                    new WayOut(
                        code: 'MR25',
                        text: Message::of('planning.planner.tie-out', a: $tie->a, b: $tie->b),
                        minutes: 3,
                        trips: $tie->place === Place::Wall ? 0 : 1,
                    ),
                    $tied->landing->withoutJumper($tie->label),
                );
            }
        }

        return $bases;
    }

    /** MR25: with what the ways have landed since, found ties that have to go or stay. */
    private static function found(Draft $draft): Draft
    {
        $landing = (new FoundTies($draft->house, $draft->profile))->settled($draft->landing);

        return $landing === $draft->landing
            ? $draft
            : new Draft($draft->house, $draft->profile, $landing, $draft->ways, $draft->without, $draft->changes);
    }

    /**
     * @return list<Draft> a new cable, to here or to another position, where something is missing or the old one is
     *     not fit (SC08)
     */
    private static function cablesFor(Draft $base): array
    {
        $kind = $base->house->wallCable()?->kind;
        $missing = $base->missing();
        $link = $base->profile->linkConductors > 0 && $base->landing->on('1') === [];
        if ($missing === null && ! $link && ! in_array($kind, ['stranded', 'telephone'], true)) {
            return [];
        }
        $missing ??= TerminalName::R;

        return [...(new Wo02NewCable())->out($base, $missing), ...(new Wo12OtherPosition())->out($base, $missing)];
    }

    /**
     * MR07: a plate with E and Aux apart, on equipment with one heat input: a tie, so that emergency heat reaches it
     * whichever of the two the thermostat closes.
     */
    private static function tied(Draft $draft): Draft
    {
        $e = $draft->profile->named(TerminalName::E);
        $aux = $draft->profile->serving(TerminalName::Aux);
        $pump = $draft->house->archetype->heatPump;
        $heats = $pump !== null && ($pump->auxiliaryStages > 0 || $draft->house->archetype->heatStages > 0);
        if (
            $e === null ||
            $aux === null ||
            ! $heats ||
            $pump->emergency === 'own' ||
            $draft->profile->outputs !== Place::Wall ||
            $draft->carrier(TerminalName::E) !== null ||
            $draft->house->archetype->heatSource !== HeatSource::Electric
        ) {
            return $draft;
        }
        $tie = Jumper::tie(Place::Wall, $e->printed, $aux->printed);
        if ($draft->landing->jumper($tie->label) !== null) {
            return $draft;
        }

        return new Draft(
            $draft->house,
            $draft->profile,
            $draft->landing->withJumper($tie),
            $draft->ways,
            $draft->without,
            $draft->changes,
        );
    }
}
