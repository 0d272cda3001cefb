<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\File;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\EquipmentFrom;
use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Job\SafetyKind;
use Unionbit\Core\Job\SupplyFacts;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Wiring\Run;
use Unionbit\Core\Wiring\Splices;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** Reads and writes the survey part of a job document. */
final class SurveyFile
{
    public const MOST_CONDUCTORS = 50;

    public const MOST_CABLES = 8;

    private const MOST_JUMPERS = 20;

    private const MOST_SAFETY = 6;

    private const LONGEST_WORD = 60;

    private const LONGEST_REASON = 300;

    /** @throws InvalidData */
    public static function read(mixed $json, Archetype $archetype, string $pointer = ''): Installation
    {
        $node = Field::root($json, $pointer);

        $cables = array_map(self::cable(...), $node->each('cables', self::MOST_CABLES));
        self::unique(array_column($cables, 'id'), "{$pointer}/cables");
        (new Splices($cables))->check($pointer);
        $answers = self::answers($node);

        return new Installation(
            $answers->is('eGoes', 'tied') ? $archetype->withEmergencyTied() : $archetype,
            self::facts($node->has('facts') ? $node->at('facts') : Field::root([]), $answers, $archetype),
            $cables,
            array_map(
                static fn (Field $n): Jumper => new Jumper(
                    $n->enum('place', Place::class),
                    $n->string('a', null, self::LONGEST_WORD),
                    $n->string('b', null, self::LONGEST_WORD),
                    $n->string('label', null, self::LONGEST_WORD),
                ),
                $node->each('jumpers', self::MOST_JUMPERS),
            ),
            $answers,
            self::overrides($node),
            self::places($node),
            self::prints($node),
            $node->has('equipmentFrom')
                ? $node->enum('equipmentFrom', EquipmentFrom::class)
                : EquipmentFrom::Person,
        );
    }

    /** @return list<array<string, mixed>> */
    public static function safety(Installation $installation): array
    {
        return array_map(self::writeDevice(...), $installation->facts->safety);
    }

    /** @return array<string, mixed> */
    public static function write(Installation $installation): array
    {
        $facts = $installation->facts;

        return [
            'archetype' => $installation->archetype->id,
            ...$installation->equipmentFrom === EquipmentFrom::Person
                ? []
                : ['equipmentFrom' => $installation->equipmentFrom->value],
            'facts' => [
                'lineVolts' => $facts->lineVolts,
                'tapVolts' => $facts->tapVolts,
                'transformerVa' => $facts->transformerVa,
                'fuseAmps' => $facts->fuseAmps,
                'commonBonded' => $facts->commonBonded,
                'plateLink' => $facts->plateLink->value,
                'oldPower' => $facts->oldPower,
                ...$facts->oldSwitches === null ? [] : ['oldSwitches' => $facts->oldSwitches],
                ...$facts->sharedKit ? ['sharedKit' => true] : [],
                'secondBonded' => $facts->secondBonded,
                'secondPhase' => $facts->secondPhase,
                'safety' => self::safety($installation),
                ...self::filled([
                    'supplies' => array_map(static fn (SupplyFacts $f): array => $f->toArray(), $facts->further),
                ]),
            ],
            'cables' => array_map(self::writeCable(...), $installation->cables),
            'jumpers' => array_map(
                static fn (Jumper $j): array => [
                    'place' => $j->place->value,
                    'a' => $j->a,
                    'b' => $j->b,
                    'label' => $j->label,
                ],
                $installation->jumpers,
            ),
            ...self::filled([
                'places' => $installation->places,
                'prints' => $installation->prints,
                'answers' => $installation->answers->given,
                'overrides' => $installation->overrides,
            ]),
        ];
    }

    private static function answers(Field $node): Answers
    {
        $answers = new Answers();
        foreach ($node->keys('answers') as $key) {
            $question = Interview::isNote((string) $key) ? Questions::named((string) $key) : null;
            $question ??= throw InvalidData::notAllowed(
                "{$node->pointer}/answers",
                $key,
                implode(', ', array_values(array_filter(Questions::keys(), Interview::isNote(...)))),
            );
            $answers = $answers->with($key, $question->read($node->at('answers')));
        }

        return $answers;
    }

    /** @return array<string, string> letters of the catalogue by point as printed */
    private static function prints(Field $node): array
    {
        $prints = [];
        foreach ($node->keys('prints') as $point) {
            if (At::read($point)->place === null) {
                throw InvalidData::notAllowed(
                    "{$node->pointer}/prints",
                    $point,
                    Message::of('job.survey-file.a-place-and-its-print'),
                );
            }
            $prints[$point] = $node->at('prints')->string($point, null, self::LONGEST_WORD);
        }

        return $prints;
    }

    /** @return array<string, string> names by place */
    private static function places(Field $node): array
    {
        $places = [];
        foreach ($node->keys('places') as $place) {
            if (Place::tryFrom($place) === null) {
                throw InvalidData::notAllowed(
                    "{$node->pointer}/places",
                    $place,
                    implode(', ', array_column(Place::cases(), 'value')),
                );
            }
            $places[$place] = $node->at('places')->string($place, '', self::LONGEST_WORD);
        }

        return $places;
    }

    /** @return array<string, string> */
    private static function overrides(Field $node): array
    {
        $overrides = [];
        foreach ($node->keys('overrides') as $code) {
            $overrides[$code] = $node->at('overrides')->string($code, null, self::LONGEST_REASON);
        }

        return $overrides;
    }

    private static function facts(Field $node, Answers $answers, Archetype $archetype): Facts
    {
        $number = static fn (string $key, float $min, float $max): ?float => $node->has($key)
            ? $node->number($key, null, $min, $max)
            : null;

        return new Facts(
            lineVolts: $number('lineVolts', 90, 300),
            tapVolts: $number('tapVolts', 90, 300),
            transformerVa: $number('transformerVa', 10, 200),
            fuseAmps: $number('fuseAmps', 0, 30),
            commonBonded: $node->has('commonBonded') ? $node->bool('commonBonded') : null,
            plateLink: $node->has('plateLink') ? $node->enum('plateLink', LinkState::class) : LinkState::Unknown,
            oldPower: $node->has('oldPower') ? $node->string('oldPower') : null,
            oldSwitches: $node->has('oldSwitches') ? $node->string('oldSwitches') : null,
            sharedKit: $node->bool('sharedKit', false),
            secondBonded: $node->has('secondBonded') ? $node->bool('secondBonded') : null,
            secondPhase: $node->string('secondPhase', 'unknown'),
            safety: self::switches(
                array_map(self::device(...), $node->each('safety', self::MOST_SAFETY)),
                $answers,
                $archetype,
            ),
            further: self::further($node),
        );
    }

    /**
     * The switches that somebody put in, the load-shedding relay as the answer has it: where it is only answered, it
     * stands in Y.
     *
     * @param  list<SafetyDevice>  $entered
     * @return list<SafetyDevice>
     */
    private static function switches(array $entered, Answers $answers, Archetype $archetype): array
    {
        $sheds = array_any($entered, static fn (SafetyDevice $d): bool => $d->kind === SafetyKind::Shedding);
        $answer = $answers->choice('shedding');
        if ($answer === 'shed' && ! $sheds) {
            $relay = SafetyDevice::shedding($archetype);

            return $relay === null ? $entered : [...$entered, $relay];
        }

        return $sheds && $answer !== null && $answer !== 'shed'
            ? array_values(
                array_filter($entered, static fn (SafetyDevice $d): bool => $d->kind !== SafetyKind::Shedding),
            )
            : $entered;
    }

    /** @return array<string, SupplyFacts> of supplies after the first, by id */
    private static function further(Field $node): array
    {
        $further = [];
        foreach ($node->keys('supplies') as $id) {
            $of = $node->at('supplies')->at($id);
            $read = static fn (string $key): ?float => $of->has($key)
                ? Questions::named($key)?->asNumber($of)
                : null;
            $further[$id] = new SupplyFacts(
                $read('lineVolts'),
                $read('tapVolts'),
                $read('transformerVa'),
                $read('fuseAmps'),
            );
        }

        return $further;
    }

    /** @throws InvalidData */
    public static function device(Field $node): SafetyDevice
    {
        return new SafetyDevice(
            $node->string('id', null, self::LONGEST_WORD),
            $node->string('label', null, self::LONGEST_WORD),
            $node->strings('breaks'),
            $node->bool('relay', false),
            $node->has('place') ? $node->enum('place', Place::class) : Place::Indoor,
            $node->has('kind') ? $node->enum('kind', SafetyKind::class) : SafetyKind::Float,
        );
    }

    /** @return array{id: string, label: string, breaks: list<string>, relay: bool, place?: string, kind?: string} */
    public static function writeDevice(SafetyDevice $device): array
    {
        return [
            'id' => $device->id,
            'label' => $device->label,
            'breaks' => $device->breaks,
            'relay' => $device->relay,
            ...$device->place === Place::Indoor ? [] : ['place' => $device->place->value],
            ...$device->kind === SafetyKind::Float ? [] : ['kind' => $device->kind->value],
        ];
    }

    /** @throws InvalidData */
    public static function cable(Field $node): Cable
    {
        $gauge = $node->int('gauge', 18);
        if (! isset(Cable::OHMS_PER_FOOT[$gauge])) {
            throw InvalidData::notAllowed(
                $node->pointer.'/gauge',
                $gauge,
                implode(', ', array_keys(Cable::OHMS_PER_FOOT)),
            );
        }
        $nodes = $node->each('conductors', PHP_INT_MAX);
        if (count($nodes) > self::MOST_CONDUCTORS) {
            throw InvalidData::unreadable(
                "{$node->pointer}/conductors",
                Message::of(
                    'job.survey-file.has-conductors-allowed-at-most',
                    count: count($nodes),
                    most_conductors: self::MOST_CONDUCTORS,
                ),
            );
        }
        $conductors = array_map(self::conductor(...), $nodes);
        $numbers = [];
        foreach ($conductors as $index => $conductor) {
            if (isset($numbers[$conductor->number])) {
                throw InvalidData::notAllowed(
                    "{$node->pointer}/conductors/{$index}/number",
                    $conductor->number,
                    Message::of('job.survey-file.number-no-other-conductor-cable'),
                );
            }
            $numbers[$conductor->number] = true;
        }

        [$id, $from, $to] = self::run($node);

        return (new Cable(
            $id,
            $from,
            $to,
            $gauge,
            $node->number('feet', null, Cable::LEAST_FEET, Cable::MOST_FEET, Unit::Feet),
            [],
            $node->has('kind') ? $node->string('kind') : null,
            $node->has('run') ? $node->enum('run', Run::class) : null,
        ))->withConductors($conductors);
    }

    /**
     * Where a cable goes. The circuit knows two: A from the wall to the indoor unit, B from there to the outdoor unit.
     *
     * @return array{string, Place, Place}
     */
    private static function run(Field $node): array
    {
        [$id, $from, $to] = [
            $node->string('id', null, self::LONGEST_WORD),
            $node->enum('from', Place::class),
            $node->enum('to', Place::class),
        ];
        if (preg_match('/^[A-Z]$/', $id) !== 1) {
            throw InvalidData::notAllowed("{$node->pointer}/id", $id, Message::of('job.survey-file.one-letter'));
        }
        if ($from === $to || $to === Place::Wall || $to === Place::Wall2 || $from->isOutdoors()) {
            throw InvalidData::notAllowed(
                "{$node->pointer}/to",
                "{$from->value} to {$to->value}",
                Message::of('job.survey-file.runs-away-from-thermostat'),
            );
        }

        return [$id, $from, $to];
    }

    private static function conductor(Field $node): Conductor
    {
        $number = $node->int('number');
        if ($number < 1 || $number > self::MOST_CONDUCTORS) {
            throw InvalidData::notAllowed(
                "{$node->pointer}/number",
                $number,
                Message::of('job.survey-file.whole-number-from-1-50'),
            );
        }

        return new Conductor(
            number: $number,
            colour: $node->enum('colour', Colour::class),
            near: self::end($node->at('near')),
            far: self::end($node->at('far')),
            evidence: $node->enum('evidence', Evidence::class),
            stripe: $node->has('stripe') ? $node->enum('stripe', Colour::class) : null,
            colourAfterSplice: $node->has('colourAfterSplice')
                ? $node->enum('colourAfterSplice', Colour::class)
                : null,
            note: $node->string('note', '', self::LONGEST_REASON),
            condition: array_map(
                static fn (string $word): Condition => Condition::tryFrom($word) ??
                    throw InvalidData::notAllowed(
                        "{$node->pointer}/condition",
                        $word,
                        implode(', ', array_column(Condition::cases(), 'value')),
                    ),
                $node->strings('condition'),
            ),
            loopOhms: $node->has('loopOhms') ? $node->number('loopOhms', null, 0, 999) : null,
            touches: self::touches($node, $number),
        );
    }

    /** @return list<int> numbers of other conductors of the cable */
    private static function touches(Field $node, int $own): array
    {
        $touches = [];
        foreach ($node->has('touches') ? (array) $node->value('touches') : [] as $number) {
            if (! is_int($number) || $number < 1 || $number > self::MOST_CONDUCTORS || $number === $own) {
                throw InvalidData::notAllowed(
                    "{$node->pointer}/touches",
                    is_scalar($number) ? (string) $number : '',
                    Message::of('job.survey-file.number-of-another-conductor'),
                );
            }
            $touches[] = $number;
        }

        return array_values(array_unique($touches));
    }

    /** @param  list<string>  $ids */
    private static function unique(array $ids, string $pointer): void
    {
        foreach (array_diff_key($ids, array_unique($ids)) as $index => $twice) {
            throw InvalidData::notAllowed(
                "{$pointer}/{$index}/id",
                $twice,
                Message::of('job.survey-file.letter-no-other-cable-has'),
            );
        }
    }

    /** @throws InvalidData */
    public static function end(Field $node): End
    {
        $state = $node->enum('state', EndState::class);

        return match ($state) {
            EndState::Landed => End::landed(self::letter($node)),
            EndState::Spliced => End::spliced($node->string('onto', null, self::LONGEST_WORD)),
            default => End::free($state),
        };
    }

    private static function letter(Field $node): string
    {
        $letter = $node->string('terminal');

        return $letter !== '' && mb_strlen($letter) <= 12
            ? $letter
            : throw InvalidData::notAllowed(
                "{$node->pointer}/terminal",
                mb_substr($letter, 0, 40),
                Message::of('job.survey-file.terminal-as-printed-1-12'),
            );
    }

    /** @return array<string, mixed> */
    public static function writeCable(Cable $cable): array
    {
        return [
            'id' => $cable->id,
            'from' => $cable->from->value,
            'to' => $cable->to->value,
            'gauge' => $cable->gauge,
            'feet' => $cable->feet,
            ...self::filled(['kind' => $cable->kind, 'run' => $cable->run?->value]),
            'conductors' => array_map(
                static fn (Conductor $c): array => [
                    'number' => $c->number,
                    'colour' => $c->colour->value,
                    'stripe' => $c->stripe?->value,
                    'near' => $c->near->toArray(),
                    'far' => $c->far->toArray(),
                    'evidence' => $c->evidence->value,
                    'colourAfterSplice' => $c->colourAfterSplice?->value,
                    'note' => $c->note,
                    ...self::filled([
                        'condition' => array_column($c->condition, 'value'),
                        'touches' => $c->touches,
                        'loopOhms' => $c->loopOhms,
                    ]),
                ],
                $cable->conductors,
            ),
        ];
    }

    /**
     * Only what was said: an empty map would be written as a list.
     *
     * @param  array<string, mixed>  $parts
     * @return array<string, mixed>
     */
    private static function filled(array $parts): array
    {
        return array_filter($parts, static fn (mixed $part): bool => $part !== null && $part !== []);
    }
}
