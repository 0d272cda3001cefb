<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Words\Message;

/** The survey's questions put to a house: which are asked, what was answered, and where an answer is kept. */
final class Interview
{
    /** Answers that the circuit reads are facts of the supply and of the plate, not notes. */
    private const NUMBERS = ['lineVolts', 'tapVolts', 'transformerVa', 'fuseAmps'];

    private const YES_NO = ['commonBonded', 'secondBonded'];

    private const WORDS = ['secondPhase', 'plateLink', 'oldPower', 'oldSwitches'];

    /** Whether an answer belongs to the survey's answers, and not to its facts or to a cable. */
    public static function isNote(string $key): bool
    {
        return $key !== 'wire' &&
            Questions::ofSupply($key) === null &&
            ! in_array($key, [...self::NUMBERS, ...self::YES_NO, ...self::WORDS], true);
    }

    /** @return string|float|list<string>|null */
    public static function answer(Installation $house, string $key): string|float|array|null
    {
        $facts = $house->facts;
        $figure = Questions::ofSupply($key);
        if ($figure !== null) {
            return $facts->ofSupply($figure[1], false)->toArray()[$figure[0]] ?? null;
        }

        return match ($key) {
            'lineVolts' => $facts->lineVolts,
            'tapVolts' => $facts->tapVolts,
            'transformerVa' => $facts->transformerVa,
            'fuseAmps' => $facts->fuseAmps,
            'commonBonded' => self::yesNo($facts->commonBonded),
            'secondBonded' => self::yesNo($facts->secondBonded),
            'secondPhase' => $facts->secondPhase === 'unknown' ? null : $facts->secondPhase,
            'plateLink' => $facts->plateLink === LinkState::Unknown ? null : $facts->plateLink->value,
            'oldPower' => $facts->oldPower,
            'oldSwitches' => $facts->oldSwitches,
            'wire' => $house->wallCable()?->kind,
            'floats' => $facts->floats() === [] ? $house->answers->choice('floats') : 'some',
            'shedding' => $house->answers->choice('shedding') ?? ($facts->shedsLoad() ? 'shed' : null),
            default => $house->answers->given[$key] ?? null,
        };
    }

    /**
     * The survey document with one question answered, or its answer taken back.
     *
     * @param  array<string, mixed>  $survey
     * @return array<string, mixed>
     *
     * @throws InvalidData
     */
    public static function put(array $survey, string $key, mixed $value): array
    {
        $question =
            Questions::named($key) ?? throw InvalidData::notAllowed('/key', $key, implode(', ', Questions::keys()));
        $value = $value === null || $value === '' ? null : $question->read(Field::root([$key => $value]));
        if ($key === 'wire') {
            $cables = is_array($survey['cables'] ?? null) ? $survey['cables'] : [];
            $survey['cables'] = array_map(
                static fn (mixed $cable): mixed => is_array($cable) && ($cable['from'] ?? '') === 'wall'
                    ? [...$cable, 'kind' => $value]
                    : $cable,
                $cables,
            );

            return $survey;
        }
        $figure = Questions::ofSupply($key);
        if ($figure !== null) {
            return self::putOfSupply($survey, $figure, $value);
        }
        $part = self::isNote($key) ? 'answers' : 'facts';
        $kept = is_array($survey[$part] ?? null) ? $survey[$part] : [];
        unset($kept[$key]);
        if ($value !== null) {
            $kept[$key] = in_array($key, self::YES_NO, true) ? $value === 'yes' : $value;
        }
        $survey[$part] = $kept;

        return $survey;
    }

    /**
     * @return list<array{key: string, section: Message, text: Message, help: Message, kind: string,
     *     choices: list<array{value: string, label: Message}>, unit: string, value: string|float|list<string>|null,
     *     said: ?Message}>
     */
    public static function of(Installation $house): array
    {
        return array_map(static function (Question $q) use ($house): array {
            $value = self::answer($house, $q->key);

            return [
                'key' => $q->key,
                'section' => $q->section,
                'text' => $q->text,
                'help' => $q->help,
                'kind' => $q->kind,
                'choices' => array_map(
                    static fn (string|int $v): array => ['value' => (string) $v, 'label' => $q->choices[$v]],
                    array_keys($q->choices),
                ),
                'unit' => $q->unit->value,
                'value' => $value,
                'said' => $q->said($value),
            ];
        }, Questions::of($house));
    }

    /**
     * @param  array<string, mixed>  $survey
     * @param  array{string, string}  $figure  and its supply
     * @return array<string, mixed>
     */
    private static function putOfSupply(array $survey, array $figure, mixed $value): array
    {
        [$key, $id] = $figure;
        $facts = is_array($survey['facts'] ?? null) ? $survey['facts'] : [];
        $supplies = is_array($facts['supplies'] ?? null) ? $facts['supplies'] : [];
        $supply = is_array($supplies[$id] ?? null) ? $supplies[$id] : [];
        unset($supply[$key], $supplies[$id], $facts['supplies']);
        $supply = $value === null ? $supply : [...$supply, $key => $value];
        $supplies = $supply === [] ? $supplies : [...$supplies, $id => $supply];
        $survey['facts'] = $supplies === [] ? $facts : [...$facts, 'supplies' => $supplies];

        return $survey;
    }

    private static function yesNo(?bool $value): ?string
    {
        return $value === null ? null : ($value ? 'yes' : 'no');
    }
}
