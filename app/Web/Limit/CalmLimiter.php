<?php

declare(strict_types=1);

namespace App\Web\Limit;

use Closure;
use Illuminate\Cache\RateLimiter;
use Throwable;

/**
 * A limiter that lets pages be read where it can count nothing, as on a full disk. What a limit guards there is a
 * write: that is refused by itself.
 */
final class CalmLimiter extends RateLimiter
{
    public function attempts($key): mixed
    {
        return self::calm(fn (): mixed => parent::attempts($key), 0);
    }

    public function tooManyAttempts($key, $maxAttempts): bool
    {
        return self::calm(fn (): bool => parent::tooManyAttempts($key, $maxAttempts), false);
    }

    public function increment($key, $decaySeconds = 60, $amount = 1): int
    {
        return self::calm(fn (): int => parent::increment($key, $decaySeconds, $amount), 0);
    }

    public function clear($key): void
    {
        self::calm(function () use ($key): bool {
            parent::clear($key);

            return true;
        }, false);
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $does
     * @param  T  $otherwise
     * @return T
     */
    private static function calm(Closure $does, mixed $otherwise): mixed
    {
        try {
            return $does();
        } catch (Throwable) {
            return $otherwise;
        }
    }
}
