<?php

declare(strict_types=1);

// The fault dictionary of the largest house (dual fuel, two stages, humidifier, two-part thermostat with its module):
// every single fault in every call, ours against ngspice on the same operating points, side by side in one go.
//   php benchmarks/dictionary.php [archetype] [profile]

require __DIR__.'/../vendor/autoload.php';

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\SpiceDeck;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Thermostat\ProfileReader;

['json' => $json, 'shelf' => $shelf] = require __DIR__.'/catalog.php';
$house = ExampleHouse::of($shelf->archetype($argv[1] ?? 'dual-fuel-o-2c-2h'));
$profile = ProfileReader::read($json('thermostats/'.($argv[2] ?? 'two-part-three-conductor')));
$plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
$catalogue = FaultCatalogue::read($json('faults/faults'));
$calls = CallTable::needed($house->archetype)->calls();
$seconds = static function (callable $work): float {
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e9;
};

$first = $plan->circuit();
$rest = $first->operate(Setup::calling());
printf(
    "%s, %s\n%d elements, %d points, %d calls\n\n",
    $house->archetype->title,
    $profile->id,
    count($rest->netlist->elements),
    count($rest->netlist->points),
    count($calls),
);

$one =
    $seconds(static function () use ($plan): void {
        for ($n = 0; $n < 100; $n++) {
            $plan->circuit()->operate(Setup::calling());
        }
    }) / 100;
printf("one operating point from nothing   %7.2f ms   (aim: 0.6)\n", 1000 * $one);
printf(
    "all calls of the plan proved       %7.2f ms   (aim: 6)\n",
    1000 * $seconds(static fn () => Simulation::prove($plan)),
);

$points = [];
$ours = $seconds(static function () use ($plan, $catalogue, $calls, &$points): void {
    $circuit = new Circuit($plan->installation, $plan->profile, $plan->landing);
    $house = AskedHouse::of($circuit);
    foreach ($catalogue->of($circuit) as $fault) {
        foreach ($calls as $call) {
            $setup = $house->with($fault)->setup(Hands::calling($call));
            $circuit->operate($setup)->phasors->magnitude('indoor.R', 'indoor.C');
            $points[] = $setup;
        }
    }
});
printf(
    "dictionary, cold: %d points         %7.2f s    (aim: 1.5), peak memory %.0f MB (aim: under 128)\n\n",
    count($points),
    $ours,
    memory_get_peak_usage() / 1e6,
);

// ngspice at its best: one deck that holds every element of every point, read once, and `alter` for what changes from
// one point to the next. It solves the settled circuit of each once; ours also found the settled state, from rest.
$sample = array_values(array_filter($points, static fn (int $n): bool => $n % 10 === 0, ARRAY_FILTER_USE_KEY));
$every = []; // Each element where it has ever been: id and the two points that it joins.
$has = []; // Its ohms, its coil and its source in each point.
foreach ($sample as $number => $setup) {
    foreach ($first->operate($setup)->netlist->elements as $element) {
        $key = "{$element->id} {$element->a} {$element->b}";
        $every[$key] ??= $element;
        $henries = $element->reactance / (2.0 * M_PI * SpiceDeck::HERTZ);
        $has[$number][$key] = [$element->ohms, $henries, $element->emf];
    }
}
$nodes = [];
$coils = [];
$sources = [];
$names = array_combine(array_keys($every), array_map(static fn (int $n): string => "{$n}", range(1, count($every))));
$deck = ['* every element of every point'];
foreach ($every as $key => $element) {
    [$a, $b] = array_map(
        static function (string $point) use (&$nodes): string {
            return $nodes[$point] ??= 'n'.(count($nodes) + 1);
        },
        [$element->a, $element->b],
    );
    $n = $names[$key];
    $emf = array_filter(array_map(static fn (array $point): float => $point[$key][2] ?? 0.0, $has)) !== [];
    $from = $emf ? "e{$n}" : $b;
    $coil = max(array_map(static fn (array $point): float => $point[$key][1] ?? 0.0, $has)) > 0.0;
    $deck[] = sprintf('R%s %s %s 1e15', $n, $a, $coil ? "m{$n}" : $from);
    if ($coil) {
        $coils[$key] = true;
        $deck[] = sprintf('L%s m%s %s 1e-9', $n, $n, $from);
    }
    if ($emf) {
        $sources[$key] = true;
        $deck[] = sprintf('V%s e%s %s DC 0 AC 0', $n, $n, $b);
    }
}
foreach ($nodes as $node) {
    $deck[] = "Rg{$node} {$node} 0 1e9";
}
$deck[] = ".control\nset numdgt=9";
$now = [];
$absent = [1.0e15, 0.0, 0.0];
[$r, $c] = [$nodes['indoor.R'], $nodes['indoor.C']];
foreach ($sample as $number => $setup) {
    foreach ($names as $key => $n) {
        [$ohms, $henries, $emf] = $has[$number][$key] ?? $absent;
        if (($now[$key] ?? $absent) !== [$ohms, $henries, $emf]) {
            $deck[] = sprintf('alter R%s = %.12g', $n, $ohms);
            if (isset($coils[$key])) {
                $deck[] = sprintf('alter L%s = %.12g', $n, max($henries, 1.0e-9));
            }
            if (isset($sources[$key])) {
                $deck[] = sprintf('alter V%s acmag = %.12g', $n, $emf);
            }
            $now[$key] = [$ohms, $henries, $emf];
        }
    }
    $deck[] = 'ac lin 1 '.SpiceDeck::HERTZ.' '.SpiceDeck::HERTZ;
    $deck[] = "print mag(v({$r})-v({$c}))\ndestroy all";
}
$deck[] = ".endc\n.end\n";
$file = (string) tempnam(sys_get_temp_dir(), 'deck');
file_put_contents($file, implode("\n", $deck));
$printed = '';
$spent = $seconds(static function () use ($file, &$printed): void {
    $printed = (string) shell_exec('ngspice -b '.escapeshellarg($file).' 2>/dev/null');
});
unlink($file);
preg_match_all('/^mag\(.*\) = ([-+.\de]+)/m', $printed, $told);
$apart = 0.0;
foreach ($sample as $number => $setup) {
    $ours1 = $first->operate($setup)->phasors->magnitude('indoor.R', 'indoor.C');
    $apart = max($apart, abs($ours1 - (float) ($told[1][$number] ?? INF)));
}
$theirs = ($spent / count($sample)) * count($points);
printf(
    "ngspice on the same points, one deck, altered from point to point (%d of them run, scaled)  %.2f s\n",
    count($sample),
    $theirs,
);
printf("R–C of both apart by at most %.4f V\nratio ngspice / ours: %.1f\n", $apart, $theirs / $ours);
