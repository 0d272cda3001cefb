<?php

declare(strict_types=1);

namespace App\Crew\Door;

/** What stands in a link, which nobody can guess; what is kept of it is its sum alone. */
final class LinkToken
{
    private const BYTES = 32;

    public static function make(): string
    {
        return rtrim(strtr(base64_encode(random_bytes(self::BYTES)), '+/', '-_'), '=');
    }

    /** SHA-256 */
    public static function sum(#[\SensitiveParameter] string $token): string
    {
        return hash('sha256', $token);
    }
}
