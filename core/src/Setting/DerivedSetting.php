<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/** A setting with the value that follows from the survey, why, and what happens with each other choice. */
final readonly class DerivedSetting
{
    /**
     * @param  string  $menuLabel  the profile's own words for it
     * @param  array<string, string>  $choices  choice to the profile's own words
     * @param  ?Message  $lacking  set where the profile does not have this setting: the consequence
     * @param  list<array{value: string, source: Message}>  $open  answers of sources that disagree, until somebody
     *     decides
     */
    public function __construct(
        public SettingKey $key,
        public string $value,
        public Message $reason,
        public string $menuLabel,
        public array $choices,
        private Plan $plan,
        public ?Message $lacking = null,
        public array $open = [],
    ) {
    }

    /** A choice of it in the trade's words. */
    public function choiceLabel(string $choice): Message
    {
        return Settings::of($this->key)->choice($choice);
    }

    /** What the installer would see with another choice, from the circuit; null for the right one. */
    public function ifWrong(string $choice): ?Message
    {
        return $choice === $this->value || ! isset($this->choices[$choice])
            ? null
            : Settings::of($this->key)->consequence($this->plan, $choice);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $choices = [];
        foreach ($this->choices as $choice => $menu) {
            $choices[] = [
                'value' => (string) $choice,
                'label' => $this->choiceLabel((string) $choice),
                'menu' => $menu,
                'ifWrong' => $this->ifWrong((string) $choice),
            ];
        }

        return [
            'key' => $this->key->value,
            'label' => $this->key->label(),
            'value' => $this->value,
            'valueLabel' => $this->choiceLabel($this->value),
            'reason' => $this->reason,
            'menuLabel' => $this->menuLabel,
            'menuValue' => $this->choices[$this->value] ?? null,
            'choices' => $choices,
            'lacking' => $this->lacking,
            'open' => array_map(
                fn (array $o): array => [...$o, 'label' => $this->choiceLabel($o['value'])],
                $this->open,
            ),
        ];
    }
}
