<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\JobFiles;
use App\Words\Words;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\SpiceDeck;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\File\JobFile;

final class SpiceCommand extends JobCommand
{
    protected $signature = <<<'SIGNATURE'
    unionbit:spice
        {job : a job file}
        {--call=idle}
        {--fault=* : a fault of the catalogue; several come together}
    SIGNATURE;

    protected $description = 'The settled circuit of a call as a deck that ordinary SPICE programs read';

    protected function answer(JobFile $job, JobFiles $files): int
    {
        $circuit = $this->plan($job)->circuit();
        $call = $this->callNamed($this->option('call'), $job);
        $fault = $this->fault($files, $circuit, $this->option('fault'));
        $point = $circuit->operate(AskedHouse::of($circuit)->with($fault)->setup(Hands::calling($call)));
        $this->output->write(
            SpiceDeck::write($point->netlist, self::title($job->site, $call, $fault), Words::say(...))['deck'],
        );

        return self::ANSWERED;
    }

    private static function title(string $site, CallName $call, ?Fault $fault): string
    {
        return implode(', ', [
            $site,
            Words::say($call->label()),
            ...$fault === null ? [] : [Words::say($fault->title)],
        ]);
    }
}
