<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Tracing\Next\Candidate;

/**
 * Ohms first; then the test breaker in the fuse's place and everything off the strip but C, which is the zero of what
 * follows; then R; then one call conductor at a time with its call jumpered: the one that trips owns the short. Then
 * the branch is split: the copper lifted at both ends, the load by itself.
 */
final class ShortHunt
{
    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $supply = $ground->supply();
        $ends = $supply === null ? [] : $ground->endsOnStrip($supply);
        if ($supply === null || $ends === []) {
            return [];
        }
        $pairs = array_map(
            static fn (int|string $screw): array => [At::read((string) $screw), At::read($supply->common)],
            array_keys($ends),
        );

        return [
            Step::test(new Candidate(Hands::dead(), $ground->probes(MeterMode::Ohms, $pairs)), 2),
            ...self::oneByOne($ground, $supply, $ends),
            Step::anyOf([...$ground->candidates->cables(), ...$ground->candidates->coils()], 6),
        ];
    }

    /**
     * @param  array<string, list<At>>  $ends  tips by screw
     * @return list<Step>
     */
    private static function oneByOne(Ground $ground, Transformer $supply, array $ends): array
    {
        $shows = self::shows($supply);
        $breaker = $supply->fuseAmps === null ? [] : [$supply->id];
        $apart = static fn (string ...$landed): Hands => Hands::calling()
            ->broken(...$breaker)
            ->lifting(...array_merge([], ...array_values(array_diff_key($ends, array_flip($landed)))));
        $steps = [
            Step::baseline(new Candidate($apart($supply->common), $shows)),
            Step::test(new Candidate($apart($supply->common, $supply->hot), $shows)),
        ];
        foreach (array_keys($ends) as $screw) {
            $setup = $apart($supply->common, $supply->hot, $screw)->jumping(
                At::read($supply->hot),
                At::read($screw),
            );
            if (! in_array($screw, [$supply->common, $supply->hot], true) && $ground->candidates->harmless($setup)) {
                $steps[] = Step::test(new Candidate($setup, $shows));
            }
        }

        return $steps;
    }

    /** @return list<Probe> whether it trips, and what it draws; by hand where no fuse is there */
    private static function shows(Transformer $supply): array
    {
        return $supply->fuseAmps === null
            ? [Probe::clamp(At::lead($supply->id, Lead::Hot)), Probe::see([Senses::TRANSFORMER])]
            : [Probe::see([Senses::BREAKER]), Probe::clamp(At::lead($supply->id, Lead::Fuse))];
    }
}
