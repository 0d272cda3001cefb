<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\JobFiles;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Fault\FaultedCall;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Tracing\World\Points;

final class ExpectCommand extends JobCommand
{
    protected $signature = <<<'SIGNATURE'
    unionbit:expect
        {job : a job file}
        {--call=idle}
        {--mode=V : V, O, A, B or N (non-contact)}
        {--from= : a point, as wall.Y1, indoor.C or A4.near}
        {--to=}
        {--jumper=* : A-B, two points joined}
        {--lift=* : a conductor end lifted, as A4.near}
        {--fault=* : a fault of the catalogue; several come together}
        {--face-off}
        {--power= : on or off; ohms and beep are taken with it off}
        {--table}
    SIGNATURE;

    protected $description = 'What a meter will show between two points of a house, in which band, and why';

    protected function answer(JobFile $job, JobFiles $files): int
    {
        $circuit = $this->plan($job)->circuit();
        $name = $this->option('mode');
        $mode = is_string($name) ? MeterMode::tryFrom($name) : null;
        if ($mode === null) {
            throw InvalidData::notAllowed('--mode', $name, 'V, O, A, B, N');
        }
        $fault = $this->fault($files, $circuit, $this->option('fault'));
        $power = $this->option('power') ?? ($mode === MeterMode::Ohms || $mode === MeterMode::Beep ? 'off' : 'on');
        if (! in_array($power, ['on', 'off'], true)) {
            throw InvalidData::notAllowed('--power', $power, 'on, off');
        }
        $off = $power === 'off';
        $called = FaultedCall::setup($circuit, $this->callNamed($this->option('call'), $job), $fault);
        // A thermostat on batteries closes what it is asked for with the power off as well.
        $setup = $off ? Setup::isolated()->asked(...$called->closed)->with(...$called->edits) : $called;
        $setup = $this->option('face-off') ? $setup->faceOff() : $setup;
        foreach ((array) $this->option('jumper') as $pair) {
            $points = explode('-', (string) $pair);
            $setup = $setup->withJumper(
                $this->point($circuit, '--jumper', $points[0]),
                $this->point($circuit, '--jumper', $points[1] ?? ''),
            );
        }
        foreach ((array) $this->option('lift') as $end) {
            $setup = $setup->lifting($this->point($circuit, '--lift', (string) $end));
        }
        $from = $this->point($circuit, '--from', $this->option('from'));
        $to = $mode === MeterMode::Amps ? $from : $this->point($circuit, '--to', $this->option('to'));
        $expected = (new Meter($circuit))->read($mode, $setup, $from, $to);
        $seen = $off ? [] : Observables::of($circuit, $circuit->operate($setup), $fault);
        if ($this->option('table')) {
            $this->table(
                ['from', 'to', 'low', 'nominal', 'high', 'reason'],
                [[$from, $to, $expected->low, $expected->nominal, $expected->high, $expected->reason]],
            );
        } else {
            $this->json([...$expected->toArray(), 'fault' => $fault?->id, 'observables' => $seen]);
        }

        return $expected->refused === null ? self::ANSWERED : self::NO;
    }

    private function point(Circuit $circuit, string $option, mixed $id): string
    {
        $points = new Points($circuit);

        return (is_string($id) ? $points->of($id) : null) ??
            throw InvalidData::notAllowed($option, $id, 'one of '.implode(', ', $points->all()));
    }
}
