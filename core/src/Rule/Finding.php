<?php

declare(strict_types=1);

namespace Unionbit\Core\Rule;

/** What a rule has to say: its code, how grave it is, what it concerns, what it means and what to do. */
final readonly class Finding
{
    /**
     * @param  string  $code  SC.., MR..: the rule that speaks
     * @param  list<string>  $conductors  "A4"
     * @param  list<string>  $points  circuit points
     * @param  bool  $overridable  a stop that the installer may go past, with a reason that is recorded
     */
    private function __construct(
        public string $code,
        public Severity $severity,
        public string $title,
        public string $meaning,
        public string $action,
        public array $conductors,
        public array $points,
        public bool $overridable = false,
    ) {
    }

    /**
     * @param  list<string>  $conductors
     * @param  list<string>  $points
     */
    public static function of(
        string $code,
        Severity $severity,
        string $title,
        string $meaning,
        string $action,
        array $conductors = [],
        array $points = [],
        bool $overridable = false,
    ): self {
        return new self($code, $severity, $title, $meaning, $action, $conductors, $points, $overridable);
    }

    /** A stop that the installer went past: a warning from then on, with the reason beside it. */
    public function overridden(string $reason): self
    {
        return new self(
            $this->code,
            Severity::Warning,
            $this->title,
            "{$this->meaning} Gone past: {$reason}",
            $this->action,
            $this->conductors,
            $this->points,
            true,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'code' => $this->code,
            'severity' => $this->severity->value,
            'title' => $this->title,
            'meaning' => $this->meaning,
            'action' => $this->action,
            'conductors' => $this->conductors,
            'points' => $this->points,
            'overridable' => $this->overridable,
        ];
    }
}
