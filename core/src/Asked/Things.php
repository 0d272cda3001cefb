<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Asked\Thing\LiftedEnd;
use Unionbit\Core\Asked\Thing\SupplyOff;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Point\At;
use Unionbit\Core\Words\Message;

/** Everything temporary that stands on a house, each once, in the order in which it came. */
final readonly class Things
{
    /** More lifted ends than this are counted, not named. */
    private const MOST_ENDS = 3;

    /** @param  array<string, Thing>  $all  by their keys */
    public function __construct(public array $all)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public static function of(Thing ...$things): self
    {
        return self::none()->with(...$things);
    }

    public function with(Thing ...$things): self
    {
        $all = $this->all;
        foreach ($things as $thing) {
            $all[$thing->key()] = $thing;
        }

        return new self($all);
    }

    public function without(Thing ...$things): self
    {
        $keys = array_map(static fn (Thing $t): string => $t->key(), $things);

        return new self(array_diff_key($this->all, array_flip($keys)));
    }

    /** Those that the others have not. */
    public function beyond(self $others): self
    {
        return new self(array_diff_key($this->all, $others->all));
    }

    public function has(Thing $thing): bool
    {
        return isset($this->all[$thing->key()]);
    }

    /**
     * Those of one kind.
     *
     * @template T of Thing
     *
     * @param  class-string<T>  $kind
     * @return list<T>
     */
    public function each(string $kind): array
    {
        $found = [];
        foreach ($this->all as $thing) {
            if ($thing instanceof $kind) {
                $found[] = $thing;
            }
        }

        return $found;
    }

    /** @return list<At> ends of conductors and leads of loads that are off */
    public function lifted(): array
    {
        $lifted = [];
        foreach ($this->all as $thing) {
            if ($thing instanceof LiftedEnd) {
                $lifted[] = $thing->end;
            } elseif ($thing instanceof LeadLifted) {
                $lifted[] = $thing->at();
            }
        }

        return $lifted;
    }

    /** @param  class-string<Thing>  $kind */
    public function any(string $kind): bool
    {
        return array_any($this->all, static fn (Thing $t): bool => $t instanceof $kind);
    }

    /** @param  class-string<Thing>  $kind */
    public function butNot(string $kind): self
    {
        return new self(array_filter($this->all, static fn (Thing $t): bool => ! ($t instanceof $kind)));
    }

    /** The same for two that hold the same. */
    public function key(): string
    {
        $keys = array_keys($this->all);
        sort($keys);

        return implode('|', $keys);
    }

    /** Whether the circuit is another one than the house's own. */
    public function alters(): bool
    {
        return array_any(
            $this->all,
            static fn (Thing $t): bool => $t->kind()?->alters() ?? ! ($t instanceof SupplyOff),
        );
    }

    /** @return list<Message> jumpers from one point together, and all lifted ends */
    public function labels(Circuit $circuit): array
    {
        $rest = $this->butNot(Jumper::class)->butNot(LiftedEnd::class)->all;
        $jumpers = [];
        foreach ($this->each(Jumper::class) as $jumper) {
            $jumpers[$jumper->a->id][] = $jumper->b;
        }
        $says = array_values(array_map(static fn (Thing $t): Message => $t->label($circuit), $rest));
        foreach ($jumpers as $from => $to) {
            $says[] = Jumper::together($circuit, At::read((string) $from), $to);
        }
        $ends = array_map(static fn (LiftedEnd $e): At => $e->end, $this->each(LiftedEnd::class));

        return match (true) {
            $ends === [] => $says,
            count($ends) > self::MOST_ENDS => [
                ...$says,
                Message::of('circuit.standing.lifted-ends', ends: count($ends)),
            ],
            default => [...$says, LiftedEnd::together($circuit, $ends)],
        };
    }
}
