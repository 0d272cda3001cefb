<?php

declare(strict_types=1);

namespace App\Prove\Coverage;

use App\House\House;
use App\House\JobFiles;
use App\Models\Job;
use App\Prove\LoadCheckView;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingNotes;
use App\Records\Step\StepRecord;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Coverage\Coverage;
use Unionbit\Core\Proving\Coverage\Item;
use Unionbit\Core\Proving\Coverage\Ledger;
use Unionbit\Core\Proving\Coverage\Looks;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;

/**
 * What the proofs of a job are worth so far. Every piece depends on house, thermostat and landing alone and is kept;
 * a request works for so long, and says how far it came.
 */
final readonly class CoverageSheet
{
    private const A_DAY = 86400;

    /**
     * @param  int  $done  pieces worked out
     * @param  int  $of  pieces in all
     * @param  ?Coverage  $coverage  null while pieces are missing
     */
    private function __construct(public int $done, public int $of, public ?Coverage $coverage)
    {
    }

    /** @param  float  $seconds  to work, one piece at least */
    public static function of(Job $job, Plan $plan, Progress $progress, float $seconds = INF): self
    {
        $steps = array_values(array_map(static fn (StepRecord $r): Step => $r->step, $progress->steps()));
        $ledger = new Ledger($plan, app(JobFiles::class)->faults(), $steps);
        $asks = House::asks($steps);
        $begun = array_filter($progress->steps(), static fn (StepRecord $r): bool => $r->startedAt !== null);
        $pieces = $ledger->pieces(array_keys($begun));
        $shown = [];
        $worked = 0;
        $until = hrtime(true) + $seconds * 1.0e9;
        foreach ($pieces as $number => $piece) {
            // What is left over depends on what the others show.
            $others = $piece === Ledger::LEFT ? '/'.md5(implode(',', $pieces)) : '';
            $key = 'coverage/'.House::key($plan)."/{$asks}/{$piece}{$others}";
            $kept = Cache::get($key);
            if (! is_array($kept)) {
                if ($worked > 0 && hrtime(true) > $until) {
                    return new self($number, count($pieces), null);
                }
                $kept = $ledger->work($piece, $shown);
                Cache::put($key, $kept, self::A_DAY);
                $worked++;
            }
            /** @var array<string, list<string>> $kept */
            $shown += $kept;
        }

        return new self(
            count($pieces),
            count($pieces),
            $ledger->coverage($shown, self::done($job, $plan, $progress)),
        );
    }

    /** @return list<string> items that have been done and came out as in a sound house */
    private static function done(Job $job, Plan $plan, Progress $progress): array
    {
        // Nothing was set and nothing landed on the thermostat that hangs there.
        $worked = ! House::of($job)->isAsFound();
        $done = Looks::done(
            $plan,
            $worked && ! in_array(false, array_column($progress->settings(), 'done'), true),
            $worked && $progress->isLanded(),
        );
        foreach ($progress->steps() as $key => $record) {
            // Under something that the step did not ask for nothing has shown.
            foreach ($record->altered ? [] : [...$record->readings, ...$record->signs] as $part => $row) {
                if ($row->outcome === Outcome::Pass) {
                    $done[] = Item::ofStep($key, (string) $part);
                }
            }
            if ($record->step->method === Method::PreCheck && $progress->isPreChecked()) {
                foreach ($record->step->probes as $probe) {
                    $done[] = Item::ofStep($key, $probe->key());
                }
            }
            if ($record->dropped) {
                $done[] = Item::ofStep($key, Sign::DROP_OFF);
            }
        }
        foreach (LoadCheckView::all($job, $plan, ReadingNotes::of($job, $progress->steps())) as $row) {
            $amps = is_array($row['read'] ?? null) ? $row['read']['amps'] ?? null : null;
            if (is_array($amps) && ($amps['outcome'] ?? null) === Outcome::Pass) {
                $done[] = Item::amps(is_string($row['call'] ?? null) ? $row['call'] : '');
            }
        }

        return $done;
    }
}
