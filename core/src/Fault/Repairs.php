<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Data\Field;
use Unionbit\Core\Fault\Site\Site;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** The repairs of the fault catalogue, and which of them ends a fault of a house. */
final readonly class Repairs
{
    /** @param  array<string, Field>  $kinds  by id */
    private function __construct(private array $kinds)
    {
    }

    /** @param  list<Field>  $entries */
    public static function read(array $entries): self
    {
        $kinds = [];
        foreach ($entries as $entry) {
            $kinds[$entry->string('id')] = $entry;
        }

        return new self($kinds);
    }

    /**
     * The repair of a fault: what it is, and at what.
     *
     * @param  list<string>  $loads  that a fault which names no part is of
     */
    public function idOf(string $kind, Site $site, string $setting, array $loads, Circuit $circuit): RepairId
    {
        $elements = $circuit->netlist(Setup::calling())->elements;

        return match (isset($this->kinds[$kind]) ? $this->kinds[$kind]->string('by') : 'part') {
            'house' => RepairId::house($kind),
            'setting' => RepairId::at($kind, $setting),
            'supply', 'conductor' => RepairId::at($kind, $site->subject($elements)),
            'end' => RepairId::at($kind, $site->end($elements)),
            'pair' => RepairId::pair($kind, $site->of),
            'load' => $site->name === '' ? RepairId::loads($kind, $loads) : RepairId::at($kind, $site->name),
            default => RepairId::at($kind, $site->name),
        };
    }

    /**
     * @param  list<Fault>  $faults  of one house
     * @return array<string, Repair> by id
     */
    public function of(array $faults): array
    {
        $ends = [];
        foreach ($faults as $fault) {
            $ends[$fault->repair][] = $fault;
        }
        $repairs = [];
        foreach ($ends as $id => $by) {
            $kind = $this->kinds[$by[0]->mend->kind] ?? null;
            if ($kind !== null) {
                $repairs[$id] = new Repair(
                    $by[0]->mend,
                    Message::named('repair', $kind->string('title')),
                    $kind->strings('parts'),
                    array_map(Caution::from(...), $kind->strings('safety')),
                    $kind->has('look') ? $kind->int('look') : null,
                    $by,
                    $kind->has('at') ? Place::from($kind->string('at')) : null,
                    $kind->has('does') ? Doing::from($kind->string('does')) : null,
                    $kind->has('wires') ? Wires::from($kind->string('wires')) : null,
                );
            }
        }

        return $repairs;
    }
}
