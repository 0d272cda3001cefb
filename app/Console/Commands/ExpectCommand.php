<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\JobFiles;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Point\At;

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
        $house = AskedHouse::of($circuit);
        // A thermostat on batteries closes what it is asked for with the power off as well.
        $hands = Hands::calling($this->callNamed($this->option('call'), $job))
            ->provedDead($off)
            ->faced($this->option('face-off') ? Face::Off : Face::On);
        foreach ((array) $this->option('jumper') as $pair) {
            $points = explode('-', (string) $pair);
            $hands = $hands->jumping(
                $this->point($house, '--jumper', $points[0]),
                $this->point($house, '--jumper', $points[1] ?? ''),
            );
        }
        foreach ((array) $this->option('lift') as $end) {
            $hands = $hands->lifting($this->point($house, '--lift', (string) $end));
        }
        $from = $this->point($house, '--from', $this->option('from'))->id;
        $to = $mode === MeterMode::Amps ? $from : $this->point($house, '--to', $this->option('to'))->id;
        $expected = $house->with($fault)->expects($hands, $mode, $from, $to);
        $seen = $house->with($fault)->state($hands)->seen;
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

    private function point(AskedHouse $house, string $option, mixed $id): At
    {
        $node = is_string($id) ? $house->contacts->node(At::read($id)) : null;

        return $node === null
            ? throw InvalidData::notAllowed($option, $id, 'one of '.implode(', ', $house->contacts->all()))
            : At::read($node);
    }
}
