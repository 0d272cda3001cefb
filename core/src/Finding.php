<?php

declare(strict_types=1);

namespace Unionbit\Core;

/** What a rule has to say: its code, how grave it is, what it concerns, what it means and what to do. */
final readonly class Finding
{
    /**
     * @param  string  $code  SC.., MR..: the rule that speaks
     * @param  list<string>  $conductors  "A4"
     * @param  list<string>  $points  circuit points
     */
    private function __construct(
        public string $code,
        public Severity $severity,
        public string $title,
        public string $meaning,
        public string $action,
        public array $conductors,
        public array $points,
    ) {
    }

    /**
     * @param  list<string>  $conductors
     * @param  list<string>  $points
     */
    public static function of(string $code, Severity $severity, string $title, string $meaning, string $action, array $conductors = [], array $points = []): self
    {
        return new self($code, $severity, $title, $meaning, $action, $conductors, $points);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'code' => $this->code, 'severity' => $this->severity->value, 'title' => $this->title, 'meaning' => $this->meaning,
            'action' => $this->action, 'conductors' => $this->conductors, 'points' => $this->points,
        ];
    }
}
