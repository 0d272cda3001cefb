<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\PlateAsFound;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Steps;
use WeakMap;

/** A job as the core sees it: the installation of its survey and, once a thermostat is chosen, its plan. */
final class House
{
    /** @var ?WeakMap<Job, array{int, self}> */
    private static ?WeakMap $known = null;

    /** @var ?list<Step> */
    private ?array $stepList = null;

    private function __construct(public readonly Installation $installation, public readonly ?Plan $plan)
    {
    }

    /** The house of a job as it stands; worked out once for each version of this very object. */
    public static function of(Job $job): self
    {
        self::$known ??= new WeakMap();
        $kept = self::$known[$job] ?? null;
        if ($kept === null || $kept[0] !== $job->version) {
            self::$known[$job] = $kept = [$job->version, self::read($job)];
        }

        return $kept[1];
    }

    private static function read(Job $job): self
    {
        $catalog = app(Catalog::class);
        $archetype = $job->survey['archetype'] ?? '';
        $installation = SurveyFile::read(
            $job->survey,
            $catalog->archetype(is_string($archetype) ? $archetype : ''),
        );
        $profile = $job->plan['profile'] ?? null;

        return new self(
            $installation,
            is_string($profile) ? PlanFile::read($job->plan, $installation, $catalog->profile($profile)) : null,
        );
    }

    /** The circuit with the planned thermostat, or with the old plate while there is no plan. */
    public function circuit(): Circuit
    {
        return $this->plan?->circuit() ?? $this->circuitAsFound();
    }

    public function circuitAsFound(): Circuit
    {
        return new Circuit(
            $this->installation,
            PlateAsFound::profile($this->installation),
            PlateAsFound::landing($this->installation),
        );
    }

    /** @return list<Step> every proof that the plan can have, worked out once */
    public function stepList(): array
    {
        return $this->stepList ??= $this->steps()?->all() ?? [];
    }

    public function steps(): ?Steps
    {
        return $this->plan === null ? null : new Steps($this->plan);
    }
}
