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
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Fault\Site\FaultPairs;
use Unionbit\Core\Fault\Site\FaultSites;
use Unionbit\Core\Fault\Site\Site;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/**
 * The fault catalogue as data, applied to a house: each entry names an effect and what it can befall, and becomes one
 * fault for every part of this circuit that it fits. Entries that fit nothing here give none.
 */
final readonly class FaultCatalogue
{
    /** A position after "@": the half of a conductor away from where its cable begins. */
    private const FAR = 'far';

    /** @param  list<Field>  $entries */
    private function __construct(private array $entries, public Repairs $repairs, public History $history)
    {
    }

    public static function read(mixed $json): self
    {
        $root = Field::root($json);

        return new self(
            $root->each('faults', PHP_INT_MAX),
            Repairs::read($root->has('repairs') ? $root->each('repairs', PHP_INT_MAX) : []),
            History::read($root->has('history') ? $root->each('history', PHP_INT_MAX) : []),
        );
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(static fn (Field $entry): string => $entry->string('id'), $this->entries);
    }

    /** @return list<Fault> */
    public function of(Circuit $circuit): array
    {
        return array_merge(
            [],
            ...array_map(fn (Field $entry): array => $this->ofEntry($entry, $circuit, ''), $this->entries),
        );
    }

    /**
     * The same faults worse or less so than the catalogue's usual: "loose-screw:A3.near.joint@60".
     *
     * @return list<Fault>
     */
    public function severities(Circuit $circuit): array
    {
        $faults = [];
        foreach ($this->entries as $entry) {
            foreach ($entry->strings('severities') as $severity) {
                array_push($faults, ...$this->ofEntry($entry, $circuit, $severity));
            }
        }

        return $faults;
    }

    /** A fault of a house by its id, with a severity or a position after "@" where one is given; null for none. */
    public function find(Circuit $circuit, string $id): ?Fault
    {
        $wanted = FaultId::read($id);
        $severity = $wanted->severity;
        $entry = array_find($this->entries, static fn (Field $e): bool => $e->string('id') === $wanted->entry);
        $usable = $severity === '' || $severity === self::FAR || (is_numeric($severity) && (float) $severity > 0.0);

        return $entry === null || ! $usable
            ? null
            : array_find($this->ofEntry($entry, $circuit, $severity), static fn (Fault $f): bool => $f->id === $id);
    }

    /** @return list<Fault> */
    private function ofEntry(Field $entry, Circuit $circuit, string $severity): array
    {
        if (! self::fits($entry, $circuit)) {
            return [];
        }
        $netlist = $circuit->netlist(Setup::calling());
        $parts = new FaultSites($circuit->installation, $netlist);
        $pairs = new FaultPairs($circuit->installation, $netlist, $parts);
        $faults = [];
        foreach ($this->cases($entry, $parts, $pairs, $severity) as [$site, $edits]) {
            $faults[] = $this->fault($entry, $site, $edits, $circuit, $severity);
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
            default => $archetype->heatSource === $entry->enum('only', HeatSource::class),
        };
    }

    /** @param  list<CircuitEdit>  $edits */
    private function fault(Field $entry, Site $site, array $edits, Circuit $circuit, string $severity): Fault
    {
        $effect = $entry->at('effect');
        $do = $effect->string('do');
        $of = $effect->string('of', '');
        $id = new FaultId($entry->string('id'), $site->name, $severity);
        $says = Message::unique(
            array_map(
                static fn (CircuitEdit $edit): Message => $edit->describe($circuit->netlist(Setup::calling())),
                $edits,
            ),
        );

        return new Fault(
            id: $id->text(),
            base: $id->base(),
            entry: $entry->string('id'),
            name: Message::named('fault', $entry->string('title')),
            title: Message::of('fault.title', title: Message::named('fault', $entry->string('title')), says: $says),
            says: $says,
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
            parts: $site->of,
            fanTurned: $do === 'turn-fan',
            shows: $entry->has('shows') ? ToldWhen::from($entry->string('shows')) : null,
            looks: self::looks($entry),
            mend: $this->repairs->idOf(
                $entry->string('repair', $entry->string('id')),
                $site,
                $effect->string('key', ''),
                $do === 'force' ? self::behind($of, $circuit) : [],
                $circuit,
            ),
        );
    }

    /** @return list<string> ids of the loads by which it runs */
    private static function behind(string $observable, Circuit $circuit): array
    {
        return array_column(
            array_filter(
                $circuit->installation->loads(),
                static fn (Load $l): bool => $l->observable?->value === $observable,
            ),
            'id',
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
    private static function prior(Field $entry, Answers $answers): Prior
    {
        foreach ($entry->keys('priors') as $question) {
            $answer = $answers->choice($question);
            $by = $entry->at('priors')->at($question);
            if ($answer !== null && $by->has($answer)) {
                return $by->enum($answer, Prior::class);
            }
        }

        return $entry->enum('prior', Prior::class);
    }

    /**
     * @param  list<Part>  $parts
     * @param  callable(Part): CircuitEdit  $edit
     * @return list<array{Site, list<CircuitEdit>}>
     */
    private static function each(array $parts, callable $edit): array
    {
        return array_map(static fn (Part $part): array => [Site::part($part), [$edit($part)]], $parts);
    }

    /**
     * @param  list<Site>  $sites
     * @param  callable(At, At): CircuitEdit  $edit
     * @return list<array{Site, list<CircuitEdit>}>
     */
    private static function pairs(array $sites, callable $edit): array
    {
        return array_map(static fn (Site $site): array => [$site, [$edit(...$site->points)]], $sites);
    }

    /**
     * Something that runs whatever the circuit does; with welded contacts those on the line side stay closed, which
     * ohms tell with the power off.
     *
     * @return list<array{Site, list<CircuitEdit>}>
     */
    private static function welded(FaultSites $parts, Observable $observable, bool $welded): array
    {
        $contacts = $welded ? $parts->lineContacts($observable) : [];
        if (! $parts->has($observable) || ($welded && $contacts === [])) {
            return [];
        }

        return [[Site::nothing(), array_map(static fn (Part $p): CircuitEdit => new Closed($p), $contacts)]];
    }

    /**
     * What a fault of a supply does to the line before it: gone with the line, cut by the door switch, or nothing.
     *
     * @param  list<CircuitEdit>  $edits
     * @return list<CircuitEdit>
     */
    private static function onLine(Field $effect, array $edits, FaultSites $parts): array
    {
        $sources = array_map(
            static fn (CircuitEdit $e): string => $e instanceof SourceScaled ? $e->source->id : '',
            $edits,
        );
        // A transformer that is only plugged in shows nothing of the line before it.
        $supplies = array_values(array_filter($sources, $parts->hasLine(...)));
        $edit = match ($effect->string('line', '')) {
            'off' => static fn (string $id): CircuitEdit => new SourceScaled(Part::mains($id), 0.0),
            'door' => static fn (string $id): CircuitEdit => new Opened(Part::door($id)),
            'primary' => static fn (string $id): CircuitEdit => new Opened(Part::primary($id)),
            default => null,
        };

        return $edit === null ? [] : array_map($edit, $supplies);
    }

    /** @return list<array{Site, list<CircuitEdit>}> the edits of each part that the entry befalls */
    private function cases(Field $entry, FaultSites $parts, FaultPairs $pairs, string $severity): array
    {
        $effect = $entry->at('effect');
        $of = $effect->string('of', '');
        $given = is_numeric($severity) ? (float) $severity : null;
        $ohms = $given ?? $effect->number('ohms', 0.05);
        $each = static fn (callable $edit): array => self::each($parts->elements($of), $edit);
        $house = [[Site::nothing(), []]];

        return match ($effect->string('do')) {
            'open' => $each(
                static fn (Part $p): CircuitEdit => new Opened($severity === self::FAR ? $parts->farHalf($p) : $p),
            ),
            'close' => $each(static fn (Part $p): CircuitEdit => new Closed($p)),
            'resist' => $each(static fn (Part $p): CircuitEdit => new Resistive($p, $ohms)),
            'short' => $each(
                static fn (Part $p): CircuitEdit => new CoilShorted($p, $given ?? $effect->number('k', 0.075)),
            ),
            'turns' => $each(static fn (Part $p): CircuitEdit => new ShortedTurns($p)),
            'stuck' => $each(static fn (Part $p): CircuitEdit => new ArmatureStuck($p)),
            'move' => self::pairs(
                $pairs->moves($of),
                static fn (At $end, At $on): CircuitEdit => new Moved($end, $on),
            ),
            'source' => self::sources($effect, $parts, $given),
            'touch', 'leak', 'load' => self::pairs(
                $pairs->touching($effect->string('do') === 'touch' ? $of : $effect->string('do')),
                static fn (At $a, At $b): CircuitEdit => new Touching($a, $b, $ohms),
            ),
            'swap' => self::pairs(
                $pairs->ends($effect->string('end')),
                static fn (At $a, At $b): CircuitEdit => new Swapped($a, $b),
            ),
            'force' => self::welded($parts, $effect->enum('of', Observable::class), $effect->bool('welded', false)),
            'block' => $parts->has($effect->enum('of', Observable::class)) ? $house : [],
            'oversize' => self::each(
                $parts->elements('winding-fused'),
                static fn (Part $p): CircuitEdit => new FuseScaled($p->id, $effect->number('factor')),
            ),
            'bridge' => $each(static fn (Part $p): CircuitEdit => new FuseBridged($p)),
            'turn-fan' => $parts->fanInHeat() ? $house : [],
            'setting', 'no-calls' => $house,
            default => throw InvalidData::notAllowed(
                "{$effect->pointer}/do",
                $effect->string('do'),
                Message::of('fault.fault-catalogue.effect-catalogue-knows'),
            ),
        };
    }

    /** @return list<array{Site, list<CircuitEdit>}> supplies that give more or less than they should */
    private static function sources(Field $effect, FaultSites $parts, ?float $given): array
    {
        $of = $effect->string('of', '');
        $cases = self::each(
            $parts->elements($of === '' ? 'winding' : $of),
            static fn (Part $p): CircuitEdit => new SourceScaled($p, $given ?? $effect->number('factor')),
        );

        return array_map(
            static fn (array $case): array => [$case[0], [...$case[1], ...self::onLine($effect, $case[1], $parts)]],
            $cases,
        );
    }
}
