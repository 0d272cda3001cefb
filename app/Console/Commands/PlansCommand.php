<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\Catalog;
use App\House\JobFiles;
use App\Words\Words;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\Offer\PlainWords;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Thermostat\Profile;

final class PlansCommand extends JobCommand
{
    protected $signature = 'unionbit:plans {job : a job file}
        {--thermostat= : the id of another thermostat than that of the file}
        {--table : a readable table instead of JSON}';

    protected $description = 'Every plan for a house and its thermostat: ways out with their codes, what is lost';

    protected function answer(JobFile $job, JobFiles $files): int
    {
        $list = Planner::of($job->installation, $this->thermostat($job));
        if ($this->option('table')) {
            $this->table(
                ['', 'codes', 'plan', 'lost', 'not as wished', 'parts', 'min', 'points'],
                array_map(
                    static fn (PlanOffer $o, int $n): array => [
                        $n + 1,
                        implode(' ', $o->codes()),
                        Words::say($o->title()),
                        implode('; ', Words::each($o->lost())),
                        implode('; ', Words::each($o->unmet())),
                        implode(', ', Words::each($o->parts())),
                        $o->minutes(),
                        $o->score(new Weights()),
                    ],
                    $list->offered,
                    array_keys($list->offered),
                ),
            );
        } else {
            $this->json([
                'offered' => array_map(self::told(...), $list->offered),
                'refused' => array_map(
                    static fn (PlanOffer $o): array => [...self::told($o), 'refusals' => $o->refusals()],
                    $list->refused,
                ),
                'ruledOut' => $list->ruledOut,
                'tried' => $list->tried,
            ]);
        }

        return $list->offered === [] ? self::NO : self::ANSWERED;
    }

    private function thermostat(JobFile $job): Profile
    {
        $id = $this->option('thermostat');
        $catalog = app(Catalog::class);
        $known = $catalog->ids('thermostats');

        return match (true) {
            ! is_string($id) => $this->plan($job)->profile,
            in_array($id, $known, true) => $catalog->profile($id),
            default => throw InvalidData::notAllowed('--thermostat', $id, implode(', ', $known)),
        };
    }

    /** @return array<string, mixed> */
    private static function told(PlanOffer $offer): array
    {
        return [
            'title' => $offer->title(),
            'codes' => $offer->codes(),
            'ways' => array_map(static fn (WayOut $w): array => $w->toArray(), $offer->ways),
            'lost' => $offer->lost(),
            'notAsWished' => $offer->unmet(),
            'parts' => $offer->parts(),
            'minutes' => $offer->minutes(),
            'trips' => $offer->trips(),
            'points' => $offer->score(new Weights()),
            'customer' => PlainWords::of($offer),
        ];
    }
}
