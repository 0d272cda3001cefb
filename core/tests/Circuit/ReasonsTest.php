<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Explain\Explanation;
use Unionbit\Core\Circuit\Explain\Losses;
use Unionbit\Core\Circuit\Explain\Path;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Words\Message;

// A reason is true at the reading it stands beside: what its words claim is held against the numbers, over houses,
// calls, faults and pairs of points. REASONS=all goes through every fault of every call.

/** @return list<string> codes of a message and of everything in it */
function codesIn(mixed $message): array
{
    return match (true) {
        $message instanceof Message => [
            $message->code,
            ...array_merge([], ...array_map(codesIn(...), array_values($message->params))),
        ],
        is_array($message) => array_merge([], ...array_map(codesIn(...), array_values($message))),
        default => [],
    };
}

/** Whether any way leads from a point to a winding that gives something. */
function fedAt(Netlist $net, string $point): bool
{
    $reached = $net->region($point, static fn (Element $e): bool => ! $e->isOpen());

    return array_any(
        $net->elements,
        static fn (Element $e): bool => $e->kind === ElementKind::Winding &&
            $e->emf !== 0.0 &&
            ! $e->isOpen() &&
            isset($reached[$e->b]),
    );
}

/** @return list<string> claims of the words that the numbers do not bear out */
function untrue(OperatingPoint $point, string $a, string $b): array
{
    $net = $point->netlist;
    $joined = $point->network->knows($a) && $point->network->knows($b) && $net->joins($a, $b);
    if (! $joined) {
        $codes = codesIn(Explanation::floating($net, $a, $b));
        $alone = ! fedAt($net, $a) || ! fedAt($net, $b);

        return array_keys(
            array_filter([
                'no supply, though both are fed' => in_array('circuit.why.no-supply', $codes, true) && ! $alone,
                'two supplies, though one is not fed' => in_array('circuit.why.two-supplies', $codes, true) && $alone,
            ]),
        );
    }
    $path = Path::find($net, $point->network->probe($a, $b), $a, $b);
    $codes = codesIn(Explanation::volts($point, $path, $a, $b));
    $says = static fn (string $code): bool => in_array("circuit.{$code}", $codes, true);
    $volts = $point->phasors->magnitude($a, $b);
    $sources = array_filter($path->ofKind(ElementKind::Winding), static fn (Element $e): bool => $e->emf !== 0.0);
    $emf = $sources === [] ? 0.0 : abs(array_values($sources)[0]->emf);
    $open = array_filter(
        $path->ofKind(ElementKind::ThermostatSwitch),
        static fn (Element $e): bool => $e->magnitude() >= 100.0,
    );

    return array_keys(
        array_filter([
            'same wire' => $says('why.same-wire') && $volts > Losses::SAME_BELOW,
            'whole supply' => $says('why.whole-supply') && ($volts < 0.85 * $emf || $volts > 1.1 * $emf),
            'full voltage across' => $says('why.across-the-open') && $volts < 0.85 * $emf,
            'closed switch' => $says('step.closed') && $open !== [],
            'no source' => $says('why.no-source') && $volts > 1.0,
            'fed beside' => $says('why.fed-beside') && $volts <= 1.0,
            'wire loses' => $says('why.wire-loses') && ($volts <= Losses::SAME_BELOW || ! $path->isCopper()),
            'sags' => $says('why.supply-sags') && $volts > 0.85 * $emf && $volts < 1.1 * $emf,
            'says nothing' => $codes === [] || $codes === [''],
        ]),
    );
}

/**
 * @param  list<Fault>  $faults
 * @return list<Fault>
 */
function pickSome(Pick $pick, array $faults): array
{
    return array_map(static fn (): Fault => $pick->one($faults), range(1, 12));
}

it('says nothing beside a reading that the reading does not bear out', function (string $equipment): void {
    $plan = House::example($equipment);
    $circuit = $plan->circuit();
    $pick = new Pick($equipment);
    $faults = House::faults()->of($circuit);
    $read = 0;
    $untrue = [];
    foreach (CallTable::needed($plan->installation->archetype)->calls() as $call) {
        $some = getenv('REASONS') === 'all' ? $faults : pickSome($pick, $faults);
        foreach ([null, ...$some] as $fault) {
            $point = $circuit->operate(House::called($circuit, $call, $fault));
            $points = array_keys(
                array_filter($point->netlist->points, static fn ($p): bool => $p->probeable && ! $p->isLine()),
            );
            for ($n = 0; $n < 4; $n++) {
                [$a, $b] = [$pick->one($points), $pick->one($points)];
                $read++;
                foreach ($a === $b ? [] : untrue($point, $a, $b) as $claim) {
                    $untrue[] = "{$call->value} {$fault?->id} {$a} {$b}: {$claim}";
                }
            }
        }
    }

    expect($read)->toBeGreaterThan(90)->and($untrue)->toBe([]);
})->with(House::ids('equipment'));
