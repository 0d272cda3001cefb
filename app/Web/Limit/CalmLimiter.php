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
        return self::calm(function () use ($key, $maxAttempts): bool {
            if (! parent::tooManyAttempts($key, $maxAttempts)) {
                return false;
            }
            $began = $this->cache->get(self::began($key));
            if (! is_int($began) || $began <= $this->currentTime()) {
                return true;
            }
            // The clock was set back: what was counted then is no measure.
            $this->clear($key);

            return false;
        }, false);
    }

    public function increment($key, $decaySeconds = 60, $amount = 1): int
    {
        return self::calm(function () use ($key, $decaySeconds, $amount): int {
            $this->cache->add(self::began($key), $this->currentTime(), $decaySeconds);

            return parent::increment($key, $decaySeconds, $amount);
        }, 0);
    }

    public function clear($key): void
    {
        self::calm(function () use ($key): bool {
            parent::clear($key);
            $this->cache->forget(self::began($key));

            return true;
        }, false);
    }

    /** When the first of the tries was that are counted. */
    private static function began(string $key): string
    {
        return 'began|'.hash('sha256', $key);
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
