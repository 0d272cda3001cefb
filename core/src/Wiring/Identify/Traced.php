<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Identify;

use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Evidence;

/**
 * A cable as a routine has shown it: ends put together, what answered traced, what did not open in the wall, what
 * touches marked. Where several ends could go to several, they stay as they were written, and nothing is known of them.
 */
final class Traced
{
    /**
     * @param  list<string>  $answered  near ends that never had to answer, and did when read at last
     * @param  list<string>  $mute  such as did not
     * @param  list<list<string>>  $touchingNear  near ends that answered with every end apart
     * @param  list<list<string>>  $touchingFar  far ends that did
     */
    public static function cable(
        Cable $cable,
        Identified $read,
        array $answered,
        array $mute,
        array $touchingNear,
        array $touchingFar,
    ): Cable {
        $byId = array_column(array_map(static fn (Conductor $c): array => [$c->id(), $c], $cable->conductors), 1, 0);
        // The two sets that touch belong together, whichever of them is which.
        $to = [
            ...$read->pairs,
            ...array_combine(array_merge([], ...$touchingNear), array_merge([], ...$touchingFar)),
        ];
        $loose = [...array_keys($to), ...$read->broken, ...$read->open];
        $left = array_diff($loose, $to);
        $whole = [...$read->whole, ...$answered];
        $changed = $byId;
        foreach ($loose as $id) {
            $own = in_array($id, $left, true) ? $id : reset($left);
            $far = $to[$id] ?? ($own === false ? $id : $own);
            $left = array_diff($left, [$far]);
            $changed[$id] = $byId[$id]
                ->onto($byId[$far])
                ->withEvidence(in_array($id, $whole, true) ? Evidence::Traced : Evidence::Unknown);
            if (in_array($id, [...$read->broken, ...$mute], true)) {
                $changed[$id] = $changed[$id]->marked(Condition::Open);
            }
        }
        foreach ($touchingNear as $group) {
            foreach (array_slice($group, 1) as $other) {
                $changed[$group[0]] = $changed[$group[0]]->touching($byId[$other]->number);
            }
        }

        return $cable->withConductors(array_values($changed));
    }
}
