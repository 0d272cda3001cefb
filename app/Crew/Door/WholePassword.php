<?php

declare(strict_types=1);

namespace App\Crew\Door;

use Illuminate\Hashing\BcryptHasher;

/** bcrypt looks at 72 bytes and no further: what is longer goes in by its sum, so that all of it counts. */
final class WholePassword extends BcryptHasher
{
    private const LOOKED_AT = 72;

    /**
     * @param  string  $value
     * @param  array<mixed>  $options
     */
    public function make(#[\SensitiveParameter] $value, array $options = []): string
    {
        return parent::make(self::whole($value), $options);
    }

    /**
     * @param  string  $value
     * @param  string  $hashedValue
     * @param  array<mixed>  $options
     */
    public function check(#[\SensitiveParameter] $value, $hashedValue, array $options = []): bool
    {
        return parent::check(self::whole($value), $hashedValue, $options);
    }

    private static function whole(#[\SensitiveParameter] string $value): string
    {
        return strlen($value) <= self::LOOKED_AT ? $value : base64_encode(hash('sha384', $value, true));
    }
}
