<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\File;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Thermostat\ProfileReader;
use Unionbit\Core\Words\Message;

/**
 * The job file: one house with its survey, and the thermostat and landing once they are chosen. Version 2; one of
 * version 1 is read and becomes 2. Whatever is wrong is reported with its JSON pointer, its value and what is allowed.
 */
final readonly class JobFile
{
    public const VERSION = 2;

    private const READ = [1, 2];

    private const MOST_UNITS = 12;

    private function __construct(
        public string $site,
        public string $address,
        public string $kind,
        public string $system,
        public Installation $installation,
        public ?Plan $plan,
    ) {
    }

    /**
     * @param  callable(string, string): ?Archetype  $archetypes  an archetype of the catalogue by id, and where the
     *     file says it
     * @param  callable(string): ?Profile  $profiles  a profile of the catalogue by id
     * @param  array{archetypes: list<string>, profiles: list<string>}  $known  ids, for messages
     *
     * @throws InvalidData
     */
    public static function read(mixed $json, callable $archetypes, callable $profiles, array $known): self
    {
        $node = Field::root($json);
        if (! in_array($node->int('unionbit'), self::READ, true)) {
            throw InvalidData::notAllowed(
                '/unionbit',
                $node->int('unionbit'),
                Message::of('planning.job-file.version', version: self::VERSION),
            );
        }
        [$id, $at] =
            $node->int('unionbit') === 1
                ? [$node->at('survey')->string('archetype'), '/survey/archetype']
                : [self::units($node->at('survey')), '/survey/units'];
        $archetype =
            $archetypes($id, $at) ?? throw InvalidData::notAllowed($at, $id, implode(', ', $known['archetypes']));
        $house = SurveyFile::read($node->value('survey'), $archetype, '/survey');

        return new self(
            self::text($node, 'site', 1, 80),
            self::text($node, 'address', 0, 160),
            self::text($node, 'kind', 0, 40, 'replacement'),
            self::text($node, 'system', 1, 60, 'System'),
            $house,
            self::plan($node, $house, $profiles, $known['profiles']),
        );
    }

    /** The units of a file as equipment goes by them: "furnace:stages=2+condenser". */
    private static function units(Field $survey): string
    {
        $units = $survey->each('units', self::MOST_UNITS);
        if ($units === []) {
            throw InvalidData::unreadable('/survey/units', Message::of('planning.job-file.at-least-one-unit'));
        }

        return implode(
            '+',
            array_map(static function (Field $unit): string {
                $options = [];
                foreach ($unit->keys('options') as $key) {
                    $options[] = "{$key}={$unit->at('options')->string($key)}";
                }
                $at = $unit->has('place') ? '@'.$unit->enum('place', Place::class)->value : '';

                return $unit->string('unit').$at.($options === [] ? '' : ':'.implode(',', $options));
            }, $units),
        );
    }

    private static function text(Field $node, string $key, int $least, int $most, string $default = ''): string
    {
        $text = $least > 0 && $default === '' ? $node->line($key) : $node->line($key, $default);
        $length = mb_strlen($text);

        return $length >= $least && $length <= $most
            ? $text
            : throw InvalidData::unreadable(
                "{$node->pointer}/{$key}",
                Message::of(
                    'planning.job-file.characters-long-allowed',
                    length: $length,
                    least: $least,
                    most: $most,
                ),
            );
    }

    /**
     * @param  ?array<string, mixed>  $ownProfile  the thermostat as a file, where it is none of the catalogue
     * @return array<string, mixed>
     */
    public static function write(
        string $site,
        string $address,
        string $kind,
        Installation $installation,
        ?Plan $plan,
        string $system = 'System',
        ?array $ownProfile = null,
    ): array {
        return [
            'unionbit' => self::VERSION,
            'site' => $site,
            'address' => $address,
            'kind' => $kind,
            ...$system === 'System' ? [] : ['system' => $system],
            'survey' => [
                'units' => $installation->archetype->units,
                ...array_diff_key(SurveyFile::write($installation), ['archetype' => true]),
            ],
            ...$plan === null
                ? []
                : ['thermostat' => $ownProfile ?? $plan->profile->id, 'plan' => PlanFile::write($plan)],
        ];
    }

    /**
     * @param  callable(string): ?Profile  $profiles
     * @param  list<string>  $known
     */
    private static function plan(Field $node, Installation $house, callable $profiles, array $known): ?Plan
    {
        if (! $node->has('thermostat')) {
            return null;
        }
        $thermostat = $node->value('thermostat');
        $profile = is_string($thermostat)
            ? $profiles($thermostat) ??
                throw InvalidData::notAllowed(
                    '/thermostat',
                    $thermostat,
                    Message::of('planning.job-file.or-profile-your-own', known: $known),
                )
            : ProfileReader::read($thermostat);

        return $node->has('plan')
            ? PlanFile::read($node->value('plan'), $house, $profile, '/plan')
            : new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    }
}
