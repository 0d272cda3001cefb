<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\JobFiles;
use App\Prove\Coverage\CoverageView;
use App\Words\Words;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Coverage\Coverage;
use Unionbit\Core\Proving\Coverage\Gap;
use Unionbit\Core\Proving\Coverage\Item;
use Unionbit\Core\Proving\Coverage\Ledger;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Steps\Steps;

final class ProveCommand extends JobCommand
{
    protected $signature = 'unionbit:prove {job : a job file}
        {--done=* : keys of steps that have passed; without it every proof that is required}
        {--table : a readable table instead of JSON}';

    protected $description = 'Every proof of a house: what to read and see, and what all of it would have shown';

    protected function answer(JobFile $job, JobFiles $files): int
    {
        $plan = $this->plan($job);
        $steps = (new Steps($plan))->all();
        $done = $this->done($steps);
        $ledger = new Ledger($plan, $files->faults(), $steps);
        $shown = [];
        foreach ($ledger->pieces($done) as $piece) {
            $shown += $ledger->work($piece, $shown);
        }
        $items = array_column(
            array_filter($ledger->items(), static fn (Item $i): bool => in_array($i->step, $done, true)),
            'key',
        );
        $coverage = $ledger->coverage($shown, $items);
        $this->option('table')
            ? $this->tables($plan, $steps, $coverage)
            : $this->json([
                'steps' => array_map(
                    fn (Step $s): array => self::step($plan, $s, in_array($s->key(), $done, true)),
                    $steps,
                ),
                'coverage' => CoverageView::of($coverage),
            ]);

        return self::ANSWERED;
    }

    /**
     * @param  list<Step>  $steps
     * @return list<string>
     */
    private function done(array $steps): array
    {
        $keys = array_map(static fn (Step $s): string => $s->key(), $steps);
        $given = array_values(array_filter((array) $this->option('done'), is_string(...)));
        foreach (array_diff($given, $keys) as $unknown) {
            throw InvalidData::notAllowed('--done', $unknown, implode(', ', $keys));
        }
        $required = array_filter($steps, static fn (Step $s): bool => $s->method->isRequired());

        return $given !== [] ? $given : array_map(static fn (Step $s): string => $s->key(), array_values($required));
    }

    /** @return array<string, mixed> */
    private static function step(Plan $plan, Step $step, bool $done): array
    {
        $house = AskedHouse::of($plan->circuit());

        return [
            'key' => $step->key(),
            'call' => $step->call->value,
            'method' => $step->method->value,
            'required' => $step->method->isRequired(),
            'done' => $done,
            'do' => $step->do,
            'readings' => array_map(
                static fn (Measure $p): array => [
                    ...$house->expects($step->hands, $p->mode, $p->a, $p->b)->toArray(),
                    'needed' => ! $p->optional,
                ],
                $step->probes,
            ),
            'signs' => array_map(static fn (Sign $s): array => ['key' => $s->key, 'text' => $s->text], $step->signs),
        ];
    }

    /** @param  list<Step>  $steps */
    private function tables(Plan $plan, array $steps, Coverage $coverage): void
    {
        $house = AskedHouse::of($plan->circuit());
        $rows = [];
        foreach ($steps as $step) {
            foreach ($step->probes as $probe) {
                $expected = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
                $rows[] = [
                    $step->key(),
                    "{$probe->a} – {$probe->b}",
                    $expected->low === null
                        ? Words::say($expected->shortly())
                        : sprintf('%.2f–%.2f %s', $expected->low, $expected->high, $probe->mode->unit()),
                ];
            }
            foreach ($step->signs as $sign) {
                $rows[] = [$step->key(), Words::say($sign->text), ''];
            }
        }
        $this->table(['step', 'read or see', 'expected'], $rows);
        $this->line(
            sprintf('%.1f %% of what can be wrong here would have shown', CoverageView::percent($coverage->share)),
        );
        $this->table(
            ['not shown', 'places', '%', 'cheapest', 'min'],
            array_map(
                static fn (Gap $g): array => [
                    Words::say($g->faults[0]->name),
                    count($g->faults),
                    sprintf('%.2f', 100.0 * $g->share),
                    $g->cheapest === null ? '' : Words::say($g->cheapest->says),
                    $g->cheapest->minutes ?? '',
                ],
                $coverage->gaps,
            ),
        );
    }
}
