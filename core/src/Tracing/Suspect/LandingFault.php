<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Suspect;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Words\Message;

/** A fault that stands in the survey or the landing itself, no edit of the circuit: what a rule has against it. */
final readonly class LandingFault
{
    /** @param  list<string>  $points */
    public function __construct(
        public string $code,
        public string $part,
        public array $points,
        public Message $says,
        public bool $opensFuse,
    ) {
    }

    /** @return list<self> */
    public static function of(Plan $plan, Circuit $circuit): array
    {
        $found = array_filter(
            MappingRules::check($plan),
            static fn (Finding $f): bool => in_array($f->severity, [Severity::Stop, Severity::Error], true),
        );
        if ($found === []) {
            return [];
        }
        $opens = self::opensAFuse($plan, $circuit);
        $faults = [];
        foreach ($found as $finding) {
            $part = isset($finding->conductors[0])
                ? At::near($finding->conductors[0])->id
                : $finding->points[0] ?? 'house';
            $points = array_values(array_unique([$part, ...$finding->points]));
            $fault = new self($finding->code, $part, $points, $finding->named(), $opens);
            $faults[$fault->id()] ??= $fault;
        }

        return array_values($faults);
    }

    private static function opensAFuse(Plan $plan, Circuit $circuit): bool
    {
        $setups = [Setup::calling(), ...array_values(Simulation::setups($plan))];

        return array_any($setups, static fn (Setup $s): bool => $circuit->operate($s)->openFuses !== []);
    }

    public function id(): string
    {
        return "landing:{$this->code}:{$this->part}";
    }
}
