<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\ArmatureStuck;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\Closed;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\FuseBridged;
use Unionbit\Core\Circuit\Edit\FuseScaled;
use Unionbit\Core\Circuit\Edit\Moved;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Resistive;
use Unionbit\Core\Circuit\Edit\ShortedTurns;
use Unionbit\Core\Circuit\Edit\SourceScaled;
use Unionbit\Core\Circuit\Edit\Swapped;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Job\Interview\Answers;
use Unionbit\Core\Words\Message;

/**
 * The fault catalogue as data, applied to a house: each entry names an effect and what it can befall, and becomes one
 * fault for every part of this circuit that it fits. Entries that fit nothing here give none.
 */
final readonly class FaultCatalogue
{
    /** @param  list<Field>  $entries */
    private function __construct(private array $entries)
    {
    }

    public static function read(mixed $json): self
    {
        return new self(Field::root($json)->each('faults', PHP_INT_MAX));
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(static fn (Field $entry): string => $entry->string('id'), $this->entries);
    }

    /** @return list<Fault> */
    public function of(Circuit $circuit): array
    {
        $netlist = $circuit->netlist(Setup::calling());
        $parts = new FaultSites($circuit->installation, $netlist);
        $pairs = new FaultPairs($circuit->installation, $netlist, $parts);
        $faults = [];
        foreach ($this->entries as $entry) {
            if (! self::fits($entry, $circuit)) {
                continue;
            }
            foreach ($this->cases($entry, $parts, $pairs) as $part => $edits) {
                $faults[] = self::fault($entry, (string) $part, $edits, $circuit);
            }
        }

        return $faults;
    }

    /** Whether a house of this kind can have it at all. */
    private static function fits(Field $entry, Circuit $circuit): bool
    {
        $archetype = $circuit->installation->archetype;

        return match ($entry->string('only', '')) {
            '' => true,
            'heat-pump' => $archetype->heatPump !== null,
            default => $archetype->heatSource === $entry->string('only'),
        };
    }

    /** @param  list<CircuitEdit>  $edits */
    private static function fault(Field $entry, string $part, array $edits, Circuit $circuit): Fault
    {
        $effect = $entry->at('effect');
        $do = $effect->string('do');
        $of = $effect->string('of', '');
        $says = array_map(
            static fn (CircuitEdit $edit): Message => $edit->describe($circuit->netlist(Setup::calling())),
            $edits,
        );

        return new Fault(
            id: $entry->string('id').($part === '' ? '' : ":{$part}"),
            entry: $entry->string('id'),
            name: Message::named('fault', $entry->string('title')),
            title: Message::of('fault.title', title: Message::named('fault', $entry->string('title')), says: $says),
            where: $entry->string('where'),
            edits: $edits,
            forces: [
                ...$entry->strings('forces'),
                ...$circuit->installation->archetype->boardRunsBlower ? $entry->strings('boardForces') : [],
                ...$do === 'force' ? [$of] : [],
            ],
            blocks: [...$entry->strings('blocks'), ...$do === 'block' ? [$of] : []],
            settings: $do === 'setting' ? [$effect->string('key') => $effect->string('value')] : [],
            noCalls: $do === 'no-calls',
            prior: self::prior($entry, $circuit->installation->answers),
            symptoms: Message::named('fault', $entry->string('symptoms')),
            fix: Message::named('fault', $entry->string('fix')),
            minutes: $entry->int('minutes'),
            intermittent: $entry->bool('intermittent', false),
            parts: $part === '' ? [] : [$part],
            fanTurned: $do === 'turn-fan',
            looks: self::looks($entry),
        );
    }

    /** @return list<Look> */
    private static function looks(Field $entry): array
    {
        return array_map(
            static fn (string $look): Look => Look::tryFrom($look) ??
                throw InvalidData::notAllowed(
                    "{$entry->pointer}/looks",
                    $look,
                    implode(', ', array_column(Look::cases(), 'value')),
                ),
            $entry->strings('looks'),
        );
    }

    /** How often it is met, by what was answered of this house. */
    private static function prior(Field $entry, Answers $answers): string
    {
        foreach ($entry->keys('priors') as $question) {
            $answer = $answers->choice($question);
            $by = $entry->at('priors')->at($question);
            if ($answer !== null && $by->has($answer)) {
                return $by->string($answer);
            }
        }

        return $entry->string('prior');
    }

    /**
     * @param  list<string>  $parts
     * @param  callable(string): CircuitEdit  $edit
     * @return array<string, list<CircuitEdit>>
     */
    private static function each(array $parts, callable $edit): array
    {
        return array_combine($parts, array_map(static fn (string $id): array => [$edit($id)], $parts));
    }

    /**
     * Something that runs whatever the circuit does; with welded contacts those on the line side stay closed, which
     * ohms tell with the power off.
     *
     * @return array<string, list<CircuitEdit>>
     */
    private static function welded(FaultSites $parts, Observable $observable, bool $welded): array
    {
        $contacts = $welded ? $parts->lineContacts($observable) : [];
        if (! $parts->has($observable) || ($welded && $contacts === [])) {
            return [];
        }

        return ['' => array_map(static fn (string $id): CircuitEdit => new Closed($id), $contacts)];
    }

    /**
     * What a fault of a supply does to the line before it: gone with the line, cut by the door switch, or nothing.
     *
     * @param  list<CircuitEdit>  $edits
     * @return list<CircuitEdit>
     */
    private static function onLine(Field $effect, array $edits): array
    {
        $supplies = array_map(
            static fn (CircuitEdit $e): string => $e instanceof SourceScaled ? $e->transformerId : '',
            $edits,
        );

        return match ($effect->string('line', '')) {
            'off' => array_map(
                static fn (string $id): CircuitEdit => new SourceScaled("{$id}.mains", 0.0),
                $supplies,
            ),
            'door' => array_map(static fn (string $id): CircuitEdit => new Opened("{$id}.door"), $supplies),
            'primary' => array_map(static fn (string $id): CircuitEdit => new Opened("{$id}.primary"), $supplies),
            default => [],
        };
    }

    /** @return array<string, list<CircuitEdit>> edits by the part that the entry befalls */
    private function cases(Field $entry, FaultSites $parts, FaultPairs $pairs): array
    {
        $effect = $entry->at('effect');
        $of = $effect->string('of', '');
        $ohms = $effect->number('ohms', 0.05);

        return match ($effect->string('do')) {
            'open' => self::each($parts->elements($of), static fn (string $id): CircuitEdit => new Opened($id)),
            'close' => self::each($parts->elements($of), static fn (string $id): CircuitEdit => new Closed($id)),
            'resist' => self::each(
                $parts->elements($of),
                static fn (string $id): CircuitEdit => new Resistive($id, $ohms),
            ),
            'short' => self::each(
                $parts->elements($of),
                static fn (string $id): CircuitEdit => new CoilShorted($id, $effect->number('k', 0.075)),
            ),
            'turns' => self::each(
                $parts->elements($of),
                static fn (string $id): CircuitEdit => new ShortedTurns($id),
            ),
            'stuck' => self::each(
                $parts->elements($of),
                static fn (string $id): CircuitEdit => new ArmatureStuck($id),
            ),
            'move' => array_map(
                static fn (array $pair): array => [new Moved($pair[0], $pair[1])],
                $pairs->moves($of),
            ),
            'source' => array_map(
                static fn (array $edits): array => [...$edits, ...self::onLine($effect, $edits)],
                self::each(
                    $parts->elements($of === '' ? 'winding' : $of),
                    static fn (string $id): CircuitEdit => new SourceScaled($id, $effect->number('factor')),
                ),
            ),
            'touch', 'leak', 'load' => array_map(
                static fn (array $pair): array => [new Touching($pair[0], $pair[1], $ohms)],
                $pairs->touching($effect->string('do') === 'touch' ? $of : $effect->string('do')),
            ),
            'swap' => array_map(
                static fn (array $pair): array => [new Swapped($pair[0], $pair[1])],
                $pairs->ends($effect->string('end')),
            ),
            'force' => self::welded($parts, $effect->enum('of', Observable::class), $effect->bool('welded', false)),
            'block' => $parts->has($effect->enum('of', Observable::class)) ? ['' => []] : [],
            'oversize' => self::each(
                $parts->elements('winding-fused'),
                static fn (string $id): CircuitEdit => new FuseScaled($id, $effect->number('factor')),
            ),
            'bridge' => self::each(
                $parts->elements($of),
                static fn (string $id): CircuitEdit => new FuseBridged($id),
            ),
            'turn-fan' => $parts->fanInHeat() ? ['' => []] : [],
            'setting', 'no-calls' => ['' => []],
            default => throw InvalidData::notAllowed(
                "{$effect->pointer}/do",
                $effect->string('do'),
                Message::of('fault.fault-catalogue.effect-catalogue-knows'),
            ),
        };
    }
}
