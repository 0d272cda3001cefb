<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;
use Closure;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\PlateAsFound;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\Plan\FoundPlan;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Steps\Steps;
use WeakMap;

/** A job as the core sees it: the installation of its survey and, once a thermostat is chosen, its plan. */
final class House
{
    private const AN_HOUR = 3600;

    /** @var ?WeakMap<Job, array{int, self}> */
    private static ?WeakMap $known = null;

    /** @var ?WeakMap<Plan, string> */
    private static ?WeakMap $keys = null;

    /** @var array<int, list<Step>> */
    private array $stepLists = [];

    /** What every call is proved on: the planned thermostat, else the one that hangs there, once it is known. */
    public readonly ?Plan $standing;

    private function __construct(public readonly Installation $installation, public readonly ?Plan $plan)
    {
        $this->standing = $plan ?? FoundPlan::of($installation);
    }

    /** Proved is what hangs there, before a screw is turned. */
    public function isAsFound(): bool
    {
        return $this->plan === null && $this->standing !== null;
    }

    /** The same house before the work: on the thermostat that was found. */
    public function before(): self
    {
        return $this->plan === null ? $this : new self($this->installation, null);
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

    /** The circuit with the thermostat that stands, or with the old plate while nobody knows it. */
    public function circuit(): Circuit
    {
        return $this->standing?->circuit() ?? $this->circuitAsFound();
    }

    public function circuitAsFound(): Circuit
    {
        return new Circuit(
            $this->installation,
            PlateAsFound::profile($this->installation),
            PlateAsFound::landing($this->installation),
        );
    }

    /**
     * @param  bool  $afterShort  a short was found and repaired here: calls are proved with their current
     * @return list<Step> every proof that the thermostat can have, worked out once
     */
    public function stepList(bool $afterShort = false): array
    {
        return $this->stepLists[(int) $afterShort] ??=
            $this->standing === null ? [] : self::stepsOf($this->standing, $afterShort);
    }

    /** @return list<Step> the same of any plan */
    public static function stepsOf(Plan $plan, bool $afterShort = false): array
    {
        return self::keptOf(
            $plan,
            $afterShort ? 'step-list-after-short' : 'step-list',
            static fn (Plan $plan): array => (new Steps($plan, $afterShort))->all(),
        );
    }

    /**
     * A sum of what steps ask for: the same plan asks for more once a short was repaired.
     *
     * @param  list<Step>  $steps
     */
    public static function asks(array $steps): string
    {
        return md5(
            implode(
                ' ',
                array_map(
                    static fn (Step $s): string => $s->key().
                        implode(array_map(static fn (Measure $p): string => $p->key(), $s->probes)),
                    $steps,
                ),
            ),
        );
    }

    /** @return ?list<CallName> calls that can be proved; null while no thermostat stands */
    public function callsToProve(): ?array
    {
        return $this->standing === null
            ? null
            : $this->kept('step-calls', static fn (Plan $plan): array => (new Steps($plan))->calls());
    }

    /** What a plan's answers may be kept under: the same house, thermostat and landing give the same. */
    public static function key(Plan $plan): string
    {
        self::$keys ??= new WeakMap();

        return self::$keys[$plan] ??= md5(
            serialize([$plan->installation, $plan->profile, $plan->landing, $plan->changes]),
        );
    }

    /**
     * What follows from house, thermostat and landing alone, worked out once for each of them.
     *
     * @template T
     *
     * @param  Closure(Plan): list<T>  $work
     * @return list<T>
     */
    private function kept(string $what, Closure $work): array
    {
        return $this->standing === null ? [] : self::keptOf($this->standing, $what, $work);
    }

    /**
     * The same of any plan.
     *
     * @template T
     *
     * @param  Closure(Plan): list<T>  $work
     * @return list<T>
     */
    public static function keptOf(Plan $plan, string $what, Closure $work): array
    {
        return Cache::remember("{$what}/".self::key($plan), self::AN_HOUR, static fn (): array => $work($plan));
    }

    public function steps(): ?Steps
    {
        return $this->standing === null ? null : new Steps($this->standing);
    }
}
