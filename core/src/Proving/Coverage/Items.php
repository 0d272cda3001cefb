<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Proving\Route\Walk;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Words\Message;

/** Everything that can be done on a house to show what is wrong with it, with its minutes. */
final readonly class Items
{
    /** Minutes of the clamp in a call that runs anyway, and of a look; our working figures. */
    private const CLAMP = 2;

    private const LOOK = 1;

    public function __construct(private Circuit $circuit)
    {
    }

    /** @return list<Item> the readings and signs of a step */
    public function ofStep(Step $step): array
    {
        $minutes = $step->method->isAtAnyPower()
            ? self::LOOK
            : max(1, (new Walk(new Waits($this->circuit->installation)))->through([$step])->minutes());
        $item = static fn (string $part, Message $says): Item => new Item(
            Item::ofStep($step->key(), $part),
            $step->key(),
            $step->call === CallName::Idle
                ? Message::of('proving.coverage.in-step', method: $step->method->label(), what: $says->within())
                : Message::of(
                    'proving.coverage.in-call',
                    call: $step->call->label(),
                    method: $step->method->label()->within(),
                    what: $says->within(),
                ),
            $minutes,
        );

        return [
            ...array_map(
                fn (Measure $p): Item => $item(
                    $p->key(),
                    Message::of(
                        'proving.coverage.reading',
                        mode: $p->mode->value,
                        a: $this->circuit->point($p->a)->phrase(),
                        b: $this->circuit->point($p->b)->phrase(),
                    ),
                ),
                $step->probes,
            ),
            ...array_map(static fn (Sign $s): Item => $item($s->key, $s->text), $step->signs),
        ];
    }

    /** @return list<Item> without a step: the clamp in each call */
    public function aside(CallName ...$calls): array
    {
        return array_map(
            static fn (CallName $c): Item => new Item(
                Item::amps($c->value),
                null,
                Message::of('proving.coverage.amps', call: $c->label()),
                self::CLAMP,
                $c,
            ),
            array_values($calls),
        );
    }
}
