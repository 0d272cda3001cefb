<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

/** How much each side of a plan counts when plans are ranked. 0 to 10; what an installer may change. */
final readonly class Weights
{
    public const MOST = 10;

    public function __construct(
        public int $capability = 8,
        public int $parts = 4,
        public int $time = 2,
        public int $risk = 3,
    ) {
    }

    /** @param  array<mixed>  $given  those that are missing or out of range keep their default */
    public static function from(array $given): self
    {
        $take = static fn (string $key, int $default): int => is_numeric($given[$key] ?? null)
            ? max(0, min(self::MOST, (int) $given[$key]))
            : $default;
        $plain = new self();

        return new self(
            $take('capability', $plain->capability),
            $take('parts', $plain->parts),
            $take('time', $plain->time),
            $take('risk', $plain->risk),
        );
    }

    /** @return array{capability: int, parts: int, time: int, risk: int} */
    public function toArray(): array
    {
        return [
            'capability' => $this->capability,
            'parts' => $this->parts,
            'time' => $this->time,
            'risk' => $this->risk,
        ];
    }
}
