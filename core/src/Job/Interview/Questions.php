<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\OfPart;
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
            ...Ask\Wished::all(),
            ...Ask\FigureFacts::all(),
        ];
    }

    /** The key of a question without the supply or unit that it is asked of: "lineVolts" of "lineVolts@T2". */
    public static function own(string $key): string
    {
        return OfPart::read($key)->key;
    }

    /** A question by its key; of one supply or unit among several by the key and that part, "lineVolts@T2". */
    public static function named(string $key): ?Question
    {
        $named = OfPart::read($key);
        foreach (self::all() as $question) {
            if ($question->key === $named->key) {
                return $named->part === null ? $question : $question->of($named->part);
            }
        }

        return null;
    }

    /**
     * The figure of a further supply that a key asks for, and that supply; null of every other key.
     *
     * @return ?array{string, string}
     */
    public static function ofSupply(string $key): ?array
    {
        $named = OfPart::read($key);

        return $named->part !== null && in_array($named->key, self::OF_EACH_SUPPLY, true)
            ? [$named->key, $named->part]
            : null;
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
            array_push($asked, ...self::ofUnits($question, $house));
            if ($question->key === 'secondPhase') {
                array_push($asked, ...self::ofFurtherSupplies($house));
            }
        }

        return $asked;
    }

    /** @return list<Question> a question of each of several units that have what it asks for */
    private static function ofUnits(Question $question, Installation $house): array
    {
        $asked = [];
        foreach ($house->equipmentSeen() ? $house->archetype->options : [] as $option) {
            $asks = OfPart::read($option->asks ?? '');
            if ($asks->part !== null && $asks->key === $question->key) {
                $asked[] = $question->of($asks->part, Message::named('unit', $option->unit));
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
                $asked = $question === null ? $asked : [...$asked, $question->of($supply->id, $where)];
            }
        }

        return $asked;
    }
}
