<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Words\Words;
use Closure;

/** What a new password has to be: long enough, not one that everybody tries first, not the account itself. */
final class Password
{
    public const SHORTEST = 12;

    private const LONGEST = 128;

    /**
     * @param  list<string>  $told  what is known of the person: e-mail address, name, crew
     * @return list<string|Closure>
     */
    public static function rules(array $told = []): array
    {
        return [
            'required',
            'string',
            'min:'.self::SHORTEST,
            'max:'.self::LONGEST,
            static function (string $field, mixed $value, Closure $fail) use ($told): void {
                if (is_string($value) && CommonPasswords::has($value)) {
                    $fail(Words::of('crew.password.common'));
                } elseif (is_string($value) && self::isTold($value, $told)) {
                    $fail(Words::of('crew.password.told'));
                }
            },
        ];
    }

    /** @return array<string, string> */
    public static function messages(string $field = 'password'): array
    {
        return [
            "{$field}.required" => Words::of('crew.password.new'),
            "{$field}.min" => Words::of('crew.password.short', least: self::SHORTEST),
            "{$field}.max" => Words::of('crew.password.long', most: self::LONGEST),
            "{$field}.different" => Words::of('crew.password.same'),
        ];
    }

    /** @param  list<string>  $told */
    private static function isTold(string $password, array $told): bool
    {
        $plain = static fn (string $text): string => (string) preg_replace(
            '/[^\p{L}\p{N}]+/u',
            '',
            mb_strtolower($text),
        );
        $said = $plain($password);
        foreach ($told as $word) {
            $known = $plain($word);
            if ($known !== '' && (str_contains($known, $said) || $said === str_repeat($known, 2))) {
                return true;
            }
        }

        return false;
    }
}
