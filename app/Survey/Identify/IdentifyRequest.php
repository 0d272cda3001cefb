<?php

declare(strict_types=1);

namespace App\Survey\Identify;

use App\House\Refused;
use App\Web\JobRequest;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Identify\Routine;
use Unionbit\Core\Words\Message;

/** What has been read so far of a cable whose ends are to be put together. */
final class IdentifyRequest extends JobRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['cable' => ['required', 'string', 'max:2'], ...self::readings()];
    }

    /** What was read, in groups of ends that answered each other. */
    public const READINGS = ['touchingNear', 'touchingFar', 'found', 'answered'];

    /** @return array<string, list<mixed>> */
    public static function readings(): array
    {
        $rules = [];
        foreach (self::READINGS as $key) {
            $rules[$key] = ['array', 'max:25'];
            $rules["{$key}.*"] = ['array', 'min:2', 'max:50'];
            $rules["{$key}.*.*"] = ['string', 'max:4'];
        }

        return $rules;
    }

    /** @return list<list<string>> */
    public static function groups(mixed $given): array
    {
        return array_values(
            array_map(
                static fn (mixed $group): array => array_values(array_filter((array) $group, is_string(...))),
                is_array($given) ? $given : [],
            ),
        );
    }

    /**
     * What is not known of a cable, and what is.
     *
     * @param  list<list<string>>  $near  ends at the wall that answer each other with everything apart
     * @param  list<list<string>>  $far  ends at the other side that do
     *
     * @throws Refused where the sides do not agree, or an end is none of those that are not known
     */
    public static function routine(Cable $cable, array $near, array $far): Routine
    {
        $ids = static fn (bool $proof): array => array_values(
            array_map(
                static fn (Conductor $c): string => $c->id(),
                array_filter(
                    $cable->conductors,
                    static fn (Conductor $c): bool => $c->evidence->isProof() === $proof &&
                        $cable->damageOf($c) === [],
                ),
            ),
        );
        $unknown = $ids(false);
        $sides = [array_merge([], ...$near), array_merge([], ...$far)];
        if (count($sides[0]) !== count($sides[1]) || array_diff([...$sides[0], ...$sides[1]], $unknown) !== []) {
            throw Refused::at('touchingNear', Message::of('survey.identify.sides-differ'));
        }

        return Routine::of($unknown, $ids(true), $near, $far);
    }
}
