<?php

declare(strict_types=1);

// Faults of every equipment example traced by what is proposed, on simulated houses:
// php benchmarks/tracing.php [cases] [wrong share] [costs|bits|two] [part] [of parts]

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\FaultId;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\ProfileReader;
use Unionbit\Core\Tracing\Next\Hypotheses;
use Unionbit\Core\Tracing\Played\PlayedHouse;
use Unionbit\Core\Tracing\Trace;

require __DIR__.'/../vendor/autoload.php';

['json' => $json, 'shelf' => $shelf] = require __DIR__.'/catalog.php';
$faults = FaultCatalogue::read($json('faults/faults'));
[$wanted, $wrong, $mode, $part, $parts] = [
    (int) ($argv[1] ?? 200),
    (float) ($argv[2] ?? 0),
    $argv[3] ?? 'costs',
    (int) ($argv[4] ?? 0),
    (int) ($argv[5] ?? 1),
];

$plans = $cases = [];
foreach ($shelf->ids() as $id) {
    $house = ExampleHouse::of($shelf->archetype($id));
    $common = $house->archetype->terminalNamed(Place::Indoor, TerminalName::C);
    $humid = array_any($house->archetype->terminals, static fn ($t): bool => $t->name->isAccessory());
    $name = $humid ? 'c-powered-humidity' : 'c-powered-3h-2c';
    $profile = ProfileReader::read($json('thermostats/'.($common === null ? 'battery-1h-1c' : $name)));
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $circuit = $plan->circuit();
    foreach ($faults->of($circuit) as $fault) {
        $cases[] = [$id, $plan, $fault];
    }
}
mt_srand(20);
shuffle($cases);

$right = $surprise = $stuck = $traced = $tests = $minutes = $bound = $skipped = 0;
$firsts = $nexts = [];
$wrongs = [];
foreach (array_slice($cases, 0, $wanted) as $n => [$id, $plan, $fault]) {
    if ($n % $parts !== $part) {
        continue;
    }
    $start = hrtime(true);
    $trace = new Trace($plan, $faults);
    $trace->byBitsAlone($mode === 'bits');
    $second = $mode === 'two' ? another($faults, $trace, $fault) : [];
    $house = new PlayedHouse($trace->house, $trace->sight, [$fault, ...$second], 7 + $n, $wrong);
    $told = complain($trace, new PlayedHouse($trace->house, $trace->sight, [$fault], 7 + $n), $house);
    if (! $told) {
        $skipped++;

        continue;
    }
    $answer = $trace->answer();
    $firsts[] = (hrtime(true) - $start) / 1e6;
    $entropy = Hypotheses::bits(array_map(static fn ($g) => $g->share, $answer->groups));
    $own = array_sum(
        array_map(
            static fn ($g) => is_right($g->ids, $fault) ? $g->share : 0.0,
            array_filter($answer->groups, static fn ($g) => $g->id === $fault->repair),
        ),
    );
    $surprise += -log(max($own, 1.0e-6), 2);
    $done = 0;
    $found = null;
    $at = 0.0;
    for ($turn = 0; $turn < 30; $turn++) {
        if ($answer->done !== null && $found === null) {
            [$found, $done, $at] = [$answer->done, $turn, $answer->state->minutes];
        }
        if ($answer->done === null) {
            $found = null;
        }
        $next = $answer->next[0] ?? null;
        if ($next === null || $next->setup === null || $next->probe === null) {
            break;
        }
        foreach ($next->handling->before as $event) {
            $house->does($event);
            $trace->event($event);
        }
        $trace->test($next->setup, $next->probe, $house->answer($next->setup, $next->probe));
        $start = hrtime(true);
        $answer = $trace->answer();
        $nexts[] = (hrtime(true) - $start) / 1e6;
    }
    $found = $answer->done ?? $found;
    $traced++;
    if ($mode === 'two') {
        $ended = to_the_end($trace, $house);
        $right += $ended ? 1 : 0;
        $wrongs = [...$wrongs, ...$ended ? [] : ["{$id} {$fault->id} + {$second[0]->id}"]];

        continue;
    }
    $is = $found !== null && is_right($found->ids, $fault);
    $right += $is ? 1 : 0;
    $stuck += $found?->stuck === true ? 1 : 0;
    $tests += $done;
    $minutes += $at;
    $bound += $entropy;
    if (! $is) {
        $wrongs[] = sprintf(
            '%s %s -> %s %.2f%s after %d',
            $id,
            $fault->id,
            $found->group ?? 'nothing',
            $found->share ?? 0,
            $found?->stuck === true ? ' stuck' : '',
            $turn,
        );
    }
}
sort($firsts);
sort($nexts);
$at = static fn (array $of, float $q): float => $of === [] ? 0.0 : $of[min(count($of) - 1, (int) ($q * count($of)))];
printf(
    '%d traced, %d show nothing in any call; right group %.1f %% (%d stuck); tests %.2f, entropy %.2f bits, '.
        'of these faults %.2f bits; tests a bit %.2f and %.2f; minutes %.1f; first answer median %.0f ms, '.
        "most %.0f ms; next 95th percentile %.0f ms; peak %.0f MB\n",
    $traced,
    $skipped,
    (100.0 * $right) / max(1, $traced),
    $stuck,
    $tests / max(1, $traced),
    $bound / max(1, $traced),
    $surprise / max(1, $traced),
    $tests / max(0.01, $bound),
    $tests / max(0.01, $surprise),
    $minutes / max(1, $traced),
    $at($firsts, 0.5),
    $at($firsts, 1.0),
    $at($nexts, 0.95),
    memory_get_peak_usage(true) / 1048576,
);
foreach ($wrongs as $line) {
    echo "  {$line}\n";
}

/** @param  list<string>  $ids */
function is_right(array $ids, Fault $fault): bool
{
    foreach ($ids as $id) {
        foreach (explode('+', $id) as $one) {
            if (FaultId::read($one)->base() === $fault->base) {
                return true;
            }
        }
    }

    return false;
}

/** @return list<Fault> one more that shows in some call by itself */
function another(FaultCatalogue $faults, Trace $trace, Fault $first): array
{
    $all = $faults->of($trace->circuit);
    for ($try = 0; $try < 40; $try++) {
        $fault = $all[mt_rand(0, count($all) - 1)];
        $house = new PlayedHouse($trace->house, $trace->sight, [$fault]);
        foreach ($fault->repair === $first->repair ? [] : $trace->calls() as $call) {
            $sees = $house->complained($call)->sees;
            foreach ($trace->wanted($call) as $key => $answer) {
                if (($sees[$key] ?? $answer) !== $answer) {
                    return [$fault];
                }
            }
        }
    }

    return [$first];
}

/** Everything that is proposed, repairs too, until it works; whether nothing is wrong with the house then. */
function to_the_end(Trace $trace, PlayedHouse $house): bool
{
    for ($turn = 0; $turn < 60; $turn++) {
        $next = $trace->answer()->next[0] ?? null;
        if ($next === null) {
            break;
        }
        foreach ([...$next->handling->before, ...$next->event === null ? [] : [$next->event]] as $event) {
            $house->does($event);
            $trace->event($event);
        }
        if ($next->setup !== null && $next->probe !== null) {
            $trace->test($next->setup, $next->probe, $house->answer($next->setup, $next->probe));
        }
    }

    return $trace->answer()->finished && $house->isSound();
}

/** The first two calls that do not do what they should are complained of, and one that does. */
function complain(Trace $trace, PlayedHouse $before, PlayedHouse $house): bool
{
    $bad = $good = [];
    foreach ([...$trace->calls(), CallName::Idle] as $call) {
        $result = $before->complained($call);
        $wanted = $trace->wanted($call);
        $ok = ! array_any(
            array_keys($wanted),
            static fn (string $key): bool => ($result->sees[$key] ?? $wanted[$key]) !== $wanted[$key],
        );
        if ($ok) {
            $good[] = [$call, $result];
        } else {
            $bad[] = [$call, $result];
        }
    }
    foreach ([...array_slice($bad, 0, 2), ...$bad === [] ? [] : array_slice($good, 0, 1)] as [$call, $result]) {
        $trace->told($call, $result);
    }

    // The fuse that opened before the visit is open now.
    $house->open = $before->open;

    return $bad !== [];
}
