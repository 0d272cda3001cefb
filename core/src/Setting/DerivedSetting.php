<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\OwnChoices;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** A setting with the value that follows from the survey, why, and what happens with each other choice. */
final readonly class DerivedSetting
{
    /**
     * @param  string|Message  $menuLabel  the profile's own words for it, or where else it is set
     * @param  array<string, string|Message>  $choices  choice to the profile's own words, or to ours
     * @param  ?Message  $lacking  set where the profile does not have this setting: the consequence
     * @param  list<array{value: string, source: Message}>  $open  answers of sources that disagree, until somebody
     *     decides
     * @param  list<Message>  $steps  what to do beside entering it
     */
    public function __construct(
        public SettingKey $key,
        public string $value,
        public Message $reason,
        public string|Message $menuLabel,
        public array $choices,
        private Plan $plan,
        public ?Message $lacking = null,
        public array $open = [],
        public array $steps = [],
    ) {
    }

    /** A choice of it in the trade's words. */
    public function choiceLabel(string $choice): Message
    {
        return Settings::of($this->key)->choice($choice);
    }

    /** Whether it may be entered so: as derived, as right, or as a source of an open question has it. */
    public function accepts(string $choice): bool
    {
        $setting = Settings::of($this->key);

        return $choice === $this->value ||
            in_array($choice, array_column($this->open, 'value'), true) ||
            ($setting instanceof OwnChoices && $setting->accepts($choice));
    }

    /** Whether the work is not done before it is entered: what the menu has, and what else matters here. */
    public function isRequired(): bool
    {
        $setting = Settings::of($this->key);

        return $this->lacking === null && (! ($setting instanceof OwnChoices) || $setting->isRequired());
    }

    /** What the installer would see with another choice, from the circuit; null for the right one. */
    public function ifWrong(string $choice): ?Message
    {
        if ($choice === $this->value || ! isset($this->choices[$choice])) {
            return null;
        }
        $setting = Settings::of($this->key);

        return $setting instanceof SaysConsequence
            ? $setting->consequence($this->plan, $choice)
            : CallConsequence::of($this->plan, $this->key, $choice);
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
                'accepted' => $this->accepts((string) $choice),
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
            'steps' => $this->steps,
            'required' => $this->isRequired(),
            'open' => array_map(
                fn (array $o): array => [...$o, 'label' => $this->choiceLabel($o['value'])],
                $this->open,
            ),
        ];
    }
}
