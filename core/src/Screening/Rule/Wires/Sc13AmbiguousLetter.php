<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** SC13 A letter that means two things: proved by ohms, power off, conductor lifted at the wall. */
final readonly class Sc13AmbiguousLetter implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        // Behind a receiver no letter of the wall is a call: what is numbered there is its own link.
        $behind = $installation->facts->oldSwitches === 'receiver';
        foreach ($behind ? [] : $installation->wallConductors() as $conductor) {
            $terminal = $installation->onPlate($conductor);
            if ($terminal !== null && $terminal->ambiguous) {
                $findings[] = $this->finding(
                    $installation,
                    $conductor,
                    $terminal->note ?? Message::none(),
                    $readings,
                );
            }
        }

        return $findings;
    }

    /** @param  list<SurveyReading>  $readings */
    private function finding(Installation $house, Conductor $conductor, Message $note, array $readings): Finding
    {
        $end = $conductor->id();
        $points = [At::near($end)->id, At::screw(Place::Wall, (string) $conductor->near->terminal)->id];
        foreach (array_reverse($readings) as $reading) {
            $here = array_intersect($points, [$reading->a, $reading->b]) !== [];
            if ($here && $reading->mode === MeterMode::Ohms) {
                return Finding::of(
                    'SC13',
                    Severity::Note,
                    Message::of(
                        'screening.sc13.read',
                        letter: $conductor->near->label(),
                        value: $reading->value === null
                            ? Message::of('screening.sc13.open')
                            : Quantity::ohms($reading->value),
                    ),
                    self::means($house, $reading),
                    Message::of('screening.sc13.conductor-was-lifted-at-wall'),
                    [$end],
                    $points,
                );
            }
        }

        return Finding::of(
            'SC13',
            Severity::Warning,
            Message::of('screening.sc13.means-more-than-one-thing', near: $conductor->near->label()),
            $note,
            Message::of('screening.sc13.power-off-lift-at-wall', coil: self::coil()),
            [$end],
            $points,
        );
    }

    /** What the ohms of a lifted conductor say, by the coils and the winding that this house can have behind it. */
    private static function means(Installation $house, SurveyReading $reading): Message
    {
        $winding = $reading->isFromHot($house) ? $house->transformers()[0]->windingOhms() : 0.0;
        $coil = LoadKind::ReversingValve->dcOhms();
        $beyond = ($reading->value ?? 0.0) - $winding;

        return match (true) {
            $reading->value === null => Message::of('screening.sc13.open-broken-or-landed-nowhere'),
            $beyond < $coil / 5.0 && $winding > 0.0 => Message::of('screening.sc13.common-through-winding'),
            $beyond < $coil / 5.0 => Message::of('screening.sc13.common'),
            $beyond < 6.0 * $coil => Message::of('screening.sc13.valve-coil-about-17', coil: self::coil()),
            $beyond > LoadKind::BoardInput->dcOhms() / 4.0 => Message::of(
                'screening.sc13.board-input-or-valve-behind',
            ),
            default => Message::of('screening.sc13.neither-common-nor-bare-valve'),
        };
    }

    private static function coil(): Quantity
    {
        return Quantity::of(LoadKind::ReversingValve->dcOhms(), Unit::Ohms);
    }
}
