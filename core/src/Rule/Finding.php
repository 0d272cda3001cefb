<?php

declare(strict_types=1);

namespace Unionbit\Core\Rule;

use Unionbit\Core\Words\Message;

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
        public Message $title,
        public Message $meaning,
        public Message $action,
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
        Message $title,
        Message $meaning,
        Message $action,
        array $conductors = [],
        array $points = [],
        bool $overridable = false,
    ): self {
        return new self(
            code: $code,
            severity: $severity,
            title: $title,
            meaning: $meaning,
            action: $action,
            conductors: $conductors,
            points: $points,
            overridable: $overridable,
        );
    }

    /** Code and title, where there is one line for it. */
    public function named(): Message
    {
        return Message::of('rule.finding.named', rule: $this->code, title: $this->title);
    }

    /** A stop that the installer went past: a warning from then on, with the reason beside it. */
    public function overridden(string $reason): self
    {
        return new self(
            code: $this->code,
            severity: Severity::Warning,
            title: $this->title,
            meaning: Message::of('rule.finding.gone-past', meaning: $this->meaning, reason: $reason),
            action: $this->action,
            conductors: $this->conductors,
            points: $this->points,
            overridable: true,
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
