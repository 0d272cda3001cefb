<?php

declare(strict_types=1);

namespace App\Models\Crew;

use App\Words\Units;
use Unionbit\Core\Proving\Route\School;

/**
 * How one person likes the application: the same on every device that they sign in on. What is not chosen follows the
 * crew (units), the device (theme) or the program (language).
 */
final readonly class Preferences
{
    public const THEMES = ['device', 'bone', 'headlamp'];

    public const HANDS = ['right', 'left'];

    public function __construct(
        public ?Units $units = null,
        public ?string $language = null,
        public string $theme = 'device',
        public School $school = School::Short,
        public string $hand = 'right',
        public bool $singleKeys = true,
    ) {
    }

    /** @param  array<mixed>  $kept  as kept; what is not known any more is as if it were not chosen */
    public static function read(array $kept): self
    {
        $text = static fn (string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : '';

        return new self(
            Units::tryFrom($text('units')),
            $text('language') !== '' && in_array($text('language'), self::languages(), true)
                ? $text('language')
                : null,
            in_array($text('theme'), self::THEMES, true) ? $text('theme') : 'device',
            School::tryFrom($text('school')) ?? School::Short,
            in_array($text('hand'), self::HANDS, true) ? $text('hand') : 'right',
            ($kept['singleKeys'] ?? true) !== false,
        );
    }

    /**
     * @return array{units: ?string, language: ?string, theme: string, school: string, hand: string,
     *     singleKeys: bool}
     */
    public function toArray(): array
    {
        return [
            'units' => $this->units?->value,
            'language' => $this->language,
            'theme' => $this->theme,
            'school' => $this->school->value,
            'hand' => $this->hand,
            'singleKeys' => $this->singleKeys,
        ];
    }

    /** @return list<string> the languages that are here: one folder of lang/ each; the made-up one is for tests only */
    public static function languages(): array
    {
        $found = glob(lang_path('*'), GLOB_ONLYDIR);
        $folders = array_map(basename(...), $found === false ? [] : $found);

        return array_values(array_filter($folders, static fn (string $name): bool => $name !== 'en-XA'));
    }
}
