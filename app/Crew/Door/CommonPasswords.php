<?php

declare(strict_types=1);

namespace App\Crew\Door;

use LogicException;

/**
 * The 49,000 passwords that are tried first, as a package of the front end ships them; `bin/setup` writes those that
 * are long enough for us as a file of this program.
 */
final class CommonPasswords
{
    /** @var ?array<string, true> */
    private static ?array $all = null;

    public static function has(#[\SensitiveParameter] string $password): bool
    {
        self::$all ??= self::read();
        $half = mb_substr($password, 0, intdiv(mb_strlen($password), 2));

        return isset(self::$all[mb_strtolower($password)]) ||
            count(array_unique(mb_str_split($password))) < 4 ||
            ($half.$half === $password && isset(self::$all[mb_strtolower($half)]));
    }

    /** @return array<string, true> */
    private static function read(): array
    {
        $file = base_path('bootstrap/cache/common-passwords.json');
        $words = is_file($file) ? json_decode((string) file_get_contents($file), true) : null;
        if (! is_array($words) || $words === []) {
            throw new LogicException("{$file} is missing: bin/setup writes it.");
        }

        return array_fill_keys(array_filter($words, is_string(...)), true);
    }
}
