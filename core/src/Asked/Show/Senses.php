<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Show;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** What can be seen, heard and felt of a house: its keys, what may be answered to each, and where one has to stand. */
final readonly class Senses
{
    public const DISPLAY = Sense::Display->value;

    public const LAMP = Sense::Lamp->value;

    public const FUSE = Sense::Fuse->value;

    public const BREAKER = Sense::Breaker->value;

    public const TRANSFORMER = Sense::Transformer->value;

    public const LINE = Sense::Line->value;

    private const ANSWERS = [
        self::DISPLAY => ['on', 'off', 'resets'],
        self::FUSE => ['whole', 'open', 'none'],
        self::BREAKER => ['holds', 'trips', 'warm'],
        self::TRANSFORMER => ['cold', 'warm', 'hot', 'smells'],
        self::LINE => ['yes', 'no'],
    ];

    private const LOAD = ['yes', 'no', 'chatters', 'hums', 'resets'];

    /** @var array<string, list<string>> answers by key */
    public array $answers;

    /** @var array<string, Place> where a load's own place is, by key */
    private array $places;

    public function __construct(private Circuit $circuit)
    {
        $answers = $places = [];
        foreach ($circuit->installation->loads() as $load) {
            if ($load->observable !== null) {
                $answers[$load->observable->value] = self::LOAD;
                $places[$load->observable->value] ??= $load->place() ?? Place::Indoor;
            }
            if ($load->id === 'board-logic') {
                $answers[self::LAMP] = self::LOAD;
            }
        }
        $answers[self::DISPLAY] = self::ANSWERS[self::DISPLAY];
        $fused = array_filter($circuit->installation->transformers(), static fn ($t): bool => $t->fuseAmps !== null);
        if ($fused !== []) {
            $answers[self::FUSE] = self::ANSWERS[self::FUSE];
            $answers[self::BREAKER] = self::ANSWERS[self::BREAKER];
        }
        $answers[self::TRANSFORMER] = self::ANSWERS[self::TRANSFORMER];
        $answers[self::LINE] = self::ANSWERS[self::LINE];
        $this->answers = $answers;
        $this->places = $places;
    }

    /** @return list<string> keys of what runs or does not run */
    public function running(): array
    {
        return array_values(
            array_filter(
                array_map(strval(...), array_keys($this->answers)),
                static fn (string $key): bool => Observable::tryFrom($key) !== null,
            ),
        );
    }

    /** The word for a key; null where it is none. */
    public static function name(string $key): ?Message
    {
        return Observable::tryFrom($key)?->label() ?? Sense::tryFrom($key)?->label();
    }

    /** Where it is seen; what blows is heard at the wall as well. */
    public function placeOf(string $key): Place
    {
        return $key === self::DISPLAY ? Place::Wall : $this->places[$key] ?? Place::Indoor;
    }

    /**
     * @param  list<string>  $keys
     * @return list<Place> every place where one has to stand
     */
    public function placesOf(array $keys): array
    {
        $places = [];
        foreach ($keys as $key) {
            $place = $this->placeOf($key);
            $places[$place->value] = $place;
        }

        return array_values($places);
    }

    /** @return list<string> what can be seen of it from one place; whether the blower runs is felt at the wall too */
    public function from(Place $place): array
    {
        return array_values(
            array_filter(
                [...$this->running(), ...isset($this->answers[self::LAMP]) ? [self::LAMP] : [], self::DISPLAY],
                fn (string $key): bool => $this->placeOf($key) === $place ||
                    ($place === Place::Wall && $key === Observable::Blower->value),
            ),
        );
    }

    /** The first fused supply: "fuse" and "breaker" are its own. */
    public function fused(): string
    {
        foreach ($this->circuit->installation->transformers() as $transformer) {
            if ($transformer->fuseAmps !== null) {
                return $transformer->id;
            }
        }

        return '';
    }
}
