<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SupplyFacts;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\OfPart;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;

/** A figure that each supply of a house has by itself: under its own key, "fuse@T2", and with its own facts. */
trait OfSupply
{
    /** @param  ?string  $supply  its id; null for the first, or the only one */
    public function __construct(private readonly ?string $supply = null)
    {
    }

    public function key(): string
    {
        return (new OfPart(self::KEY, $this->supply))->text();
    }

    private function titled(Message $title): Message
    {
        return $this->supply === null
            ? $title
            : Message::of('figures.of-supply', title: $title, supply: $this->supply);
    }

    private function transformer(?Plan $plan): ?Transformer
    {
        foreach ($plan?->installation->transformers() ?? [] as $supply) {
            if ($this->supply === null || $supply->id === $this->supply) {
                return $supply;
            }
        }

        return null;
    }

    private function facts(?Plan $plan): SupplyFacts
    {
        $id = $this->transformer($plan)->id ?? '';

        return $plan?->installation->facts->ofSupply($id, $this->supply === null) ?? new SupplyFacts();
    }

    /** The cable from the wall to where this supply stands; the first one where none goes there. */
    private function cable(?Installation $house): ?Cable
    {
        $place = null;
        foreach ($house?->transformers() ?? [] as $supply) {
            $place = $this->supply === $supply->id ? $supply->place() : $place;
        }
        foreach ($house?->wallCables() ?? [] as $cable) {
            if ($cable->to === $place) {
                return $cable;
            }
        }

        return $house?->wallCable();
    }
}
