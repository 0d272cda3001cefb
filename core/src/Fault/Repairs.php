<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Data\Field;
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
     * The repair of a fault by its id: what it is, and at what.
     *
     * @param  string  $part  what the fault befalls; empty where it names none
     * @param  list<string>  $subjects  loads that a fault without a part is of
     */
    public function idOf(string $kind, string $part, string $setting, array $subjects, Circuit $circuit): string
    {
        $by = isset($this->kinds[$kind]) ? $this->kinds[$kind]->string('by') : 'part';
        $elements = $circuit->netlist(Setup::calling())->elements;
        $subject = match ($by) {
            'house' => '',
            'setting' => $setting,
            'supply' => explode('.', $part)[0],
            'conductor' => ($elements[$part] ?? null)->subject ?? $part,
            'end' => ($elements[$part] ?? null)->a ?? explode('>', $part)[0],
            'pair' => self::sorted($part),
            'load' => $part === '' ? implode('+', $subjects) : $part,
            default => $part,
        };

        return $subject === '' ? $kind : "{$kind}:{$subject}";
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
            [$name, $of] = [...explode(':', $id, 2), ''];
            $kind = $this->kinds[$name] ?? null;
            if ($kind !== null) {
                $repairs[$id] = new Repair(
                    $id,
                    $name,
                    $of,
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

    private static function sorted(string $pair): string
    {
        $ends = explode('~', $pair);
        sort($ends, SORT_NATURAL);

        return implode('~', $ends);
    }
}
