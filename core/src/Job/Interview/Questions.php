<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Words\Message;

/**
 * What a survey asks of the equipment and its supply, in the order in which a person walks: what it is, the supply,
 * what stands in the line, the nameplates, the old plate. Each is asked only where earlier answers make it matter.
 */
final class Questions
{
    /** Questions that each supply of a house is asked, the first under its own key. */
    public const OF_EACH_SUPPLY = ['transformerVa', 'lineVolts', 'tapVolts', 'fuseAmps'];

    /** @var ?list<Question> */
    private static ?array $all = null;

    /** @return list<Question> */
    public static function all(): array
    {
        return self::$all ??= [
            ...Ask\Outdoors::all(),
            ...Ask\Indoors::all(),
            ...Ask\InUnits::all(),
            ...Ask\Supply::all(),
            ...Ask\InTheLine::all(),
            ...Ask\Nameplates::all(),
            ...Ask\OldPlate::all(),
            ...Ask\FigureFacts::all(),
        ];
    }

    /** A question by its key; of a further supply by the key and that supply, "lineVolts@T2". */
    public static function named(string $key): ?Question
    {
        [$own, $supply] = [...explode('@', $key, 2), null];
        foreach (self::all() as $question) {
            if ($question->key === $own) {
                return match (true) {
                    $supply === null => $question,
                    in_array($own, self::OF_EACH_SUPPLY, true) => $question->ofSupply($supply),
                    default => null,
                };
            }
        }

        return null;
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_map(static fn (Question $q): string => $q->key, self::all());
    }

    /** @return list<Question> that this house is asked, answered or not */
    public static function of(Installation $house): array
    {
        $asked = [];
        foreach (self::all() as $question) {
            if ($question->isAskedOf($house)) {
                $asked[] = $question;
            }
            if ($question->key === 'secondPhase') {
                array_push($asked, ...self::ofFurtherSupplies($house));
            }
        }

        return $asked;
    }

    /** @return list<Question> */
    private static function ofFurtherSupplies(Installation $house): array
    {
        $asked = [];
        foreach ($house->equipmentSeen() ? array_slice($house->transformers(), 1) : [] as $supply) {
            foreach (self::OF_EACH_SUPPLY as $key) {
                $question = self::named($key);
                $where = Message::of(
                    'job.question.supply-at',
                    id: $supply->id,
                    place: $house->placeName($supply->place()),
                );
                $asked = $question === null ? $asked : [...$asked, $question->ofSupply($supply->id, $where)];
            }
        }

        return $asked;
    }
}
