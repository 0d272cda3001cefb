<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Terminal\Place;

/** The parts of all units of a house together, each point at its unit's place, as an archetype is read. */
final readonly class JoinedParts
{
    /** The order in which the board of a heat pump's indoor unit is printed. */
    private const PRINTED = ['R', 'C', 'Y', 'Y1', 'Y2', 'G', 'O', 'B', 'W', 'W1', 'W2', 'E'];

    /** @var list<UnitPoints> how each unit's own points are called in the circuit */
    private array $points;

    /** @param  list<array{string, Field, string, bool}>  $parts  place, parts, unit, whether it shares a cabinet */
    public function __construct(private array $parts)
    {
        $points = [];
        foreach ($parts as $part) {
            $points[] = UnitPoints::of($part, $points);
        }
        $this->points = $points;
    }

    /** @return array{source: string, stages: int, fan: string} of the unit that heats; where none does, who blows */
    public function heat(): array
    {
        $all = $this->heats();
        $sources = array_filter($all, self::isSource(...));

        return [...$sources, ...$all, ['source' => 'none', 'stages' => 0, 'fan' => 'none']][0];
    }

    /** Units that heat by themselves. */
    public function heatSources(): int
    {
        return count(array_filter($this->heats(), self::isSource(...)));
    }

    /** @return list<array{source: string, stages: int, fan: string}> */
    private function heats(): array
    {
        $heats = [];
        foreach ($this->parts as [, $unit]) {
            foreach ($unit->each('heat') as $entry) {
                $stages = $entry->value('stages');
                $heats[] = [
                    'source' => $entry->string('source'),
                    'stages' => is_scalar($stages) ? (int) $stages : 0,
                    'fan' => $entry->string('fan'),
                ];
            }
        }

        return $heats;
    }

    /** @param  array{source: string}  $heat */
    private static function isSource(array $heat): bool
    {
        return $heat['source'] !== 'none';
    }

    /** @return array<string, list<string>> load ids by what they do */
    public function does(): array
    {
        $does = [];
        foreach ($this->parts as $n => [, $unit]) {
            foreach ($unit->each('loads') as $load) {
                if ($load->has('does')) {
                    $does[$load->string('does')][] = $this->points[$n]->id($load->string('id'));
                }
            }
        }

        return $does;
    }

    /** @return list<array<string, mixed>> */
    public function terminals(bool $reverses): array
    {
        $terminals = [];
        foreach ($this->points as $points) {
            array_push($terminals, ...$points->terminals);
        }
        if ($reverses) {
            $rank = static function (array $t): int {
                $at = array_search($t['printed'], self::PRINTED, true);

                return $at === false || ! is_string($t['place']) || Place::from($t['place'])->isOutdoors()
                    ? 99
                    : $at;
            };
            usort($terminals, static fn (array $a, array $b): int => $rank($a) <=> $rank($b));
        }

        return $terminals;
    }

    /**
     * @param  list<int>  $aside  numbers of the units whose supply brings the thermostat nothing
     * @return list<array<string, mixed>>
     */
    public function transformers(array $aside): array
    {
        $supplies = [];
        foreach ($this->parts as $n => [, $unit]) {
            foreach ($unit->each('transformers') as $supply) {
                $fuse = $supply->value('fuseAmps');
                $va = $supply->value('ratingVa');
                $taken = array_column($supplies, 'id');
                $id = $supply->string('id');
                for ($number = 2; in_array($id, $taken, true); $number++) {
                    $id = "T{$number}";
                }
                $supplies[] = [
                    'id' => $id,
                    'ratingVa' => is_numeric($va) ? (float) $va : $va,
                    'hot' => $this->points[$n]->point($supply->string('hot')),
                    'common' => $this->points[$n]->point($supply->string('common')),
                    'aside' => in_array($n, $aside, true),
                    'fuseAmps' => is_numeric($fuse) ? (float) $fuse : null,
                ];
            }
        }

        return $supplies;
    }

    /**
     * Loads or switches of every unit, their points at its place.
     *
     * @return list<mixed>
     */
    public function each(string $kind): array
    {
        $all = [];
        foreach ($this->parts as $n => [, $unit]) {
            foreach ($unit->has($kind) ? (array) $unit->value($kind) : [] as $part) {
                $all[] = self::placed($part, $this->points[$n]);
            }
        }

        return $kind === 'loads' ? $this->driving($all) : $all;
    }

    /**
     * Loads with the contacts of other units that follow them: an air-proving switch closes with whatever moves the
     * air, the burner too where its board runs the blower.
     *
     * @param  list<mixed>  $loads
     * @return list<mixed>
     */
    private function driving(array $loads): array
    {
        $runsBlower = $this->heat()['fan'] === 'equipment';
        $follows = [];
        foreach ($this->parts as $n => [, $unit]) {
            foreach ($unit->each('follows') as $at => $contact) {
                foreach ($contact->strings('with') as $doing) {
                    if ($doing !== 'heat-1' || $runsBlower) {
                        $placed = (array) self::placed(
                            $unit->at('follows')->value((string) $at),
                            $this->points[$n],
                        );
                        $follows[$doing][] = [...$placed, 'id' => "{$contact->string('id')}-{$doing}"];
                    }
                }
            }
        }

        return array_map(static function (mixed $load) use ($follows): mixed {
            $doing = is_array($load) && isset($load['observable']) ? $load['does'] ?? null : null;
            $moved = is_string($doing) ? $follows[$doing] ?? [] : [];

            return is_array($load) && $moved !== []
                ? [...$load, 'drives' => [...(array) ($load['drives'] ?? []), ...$moved]]
                : $load;
        }, $loads);
    }

    /** A part with its points, and those of the contacts that it drives, at a place. */
    private static function placed(mixed $part, UnitPoints $points): mixed
    {
        if (! is_array($part)) {
            return $part;
        }
        $placed = [];
        foreach ($part as $key => $value) {
            $placed[$key] = match (true) {
                in_array($key, ['from', 'to'], true) && is_string($value) => $points->point($value),
                $key === 'id' && is_string($value) => $points->id($value),
                $key === 'drives' && is_array($value) => array_map(
                    static fn (mixed $contact): mixed => self::placed($contact, $points),
                    $value,
                ),
                default => $value,
            };
        }

        return $placed;
    }

    /** @return list<array<string, mixed>> */
    public function ties(): array
    {
        $ties = [];
        foreach ($this->parts as [$place, $unit]) {
            foreach ($unit->each('ties') as $tie) {
                $ties[] = [
                    'place' => $place,
                    'a' => $tie->string('a'),
                    'b' => $tie->string('b'),
                    'label' => $tie->string('label'),
                ];
            }
        }

        return $ties;
    }

    /** @return array<string, list<mixed>> */
    public function modes(): array
    {
        $modes = [];
        foreach ($this->parts as $n => [, $unit]) {
            foreach ($unit->keys('modes') as $mode) {
                foreach ((array) $unit->at('modes')->value($mode) as $contact) {
                    $modes[$mode][] = self::placed($contact, $this->points[$n]);
                }
            }
        }

        return $modes;
    }

    /** @return array<string, int> seconds, by name; what a later unit says holds */
    public function delays(): array
    {
        $delays = [];
        foreach ($this->parts as [, $unit]) {
            foreach ($unit->each('delays') as $entry) {
                foreach ($entry->names() as $name) {
                    $delays[$name] = $entry->int($name);
                }
            }
        }

        return $delays;
    }

    /** @return array{string, string} title and short name; a heat pump goes before what it heats with */
    public function said(bool $reverses): array
    {
        $titles = $shorts = [];
        foreach ($reverses ? array_reverse($this->parts) : $this->parts as [, $unit]) {
            $says = $unit->each('says');
            $titles[] = implode(', ', array_map(static fn (Field $s): string => $s->string('text'), $says));
            $shorts[] = implode(
                ' ',
                array_filter(
                    array_map(static fn (Field $s): string => $s->string('short', ''), $says),
                    static fn (string $short): bool => $short !== '',
                ),
            );
        }

        return [implode('; ', $titles), implode(' / ', $shorts)];
    }

    public function first(string $key): ?string
    {
        foreach ($this->parts as [, $unit]) {
            foreach ($unit->each($key) as $entry) {
                return $entry->string('is');
            }
        }

        return null;
    }

    public function any(string $key): bool
    {
        foreach ($this->parts as [, $unit]) {
            if ($unit->bool($key, false)) {
                return true;
            }
        }

        return false;
    }
}
