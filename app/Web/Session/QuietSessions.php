<?php

declare(strict_types=1);

namespace App\Web\Session;

use App\Database\Spare;
use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Session\DatabaseSessionHandler;
use Illuminate\Support\Carbon;

/**
 * Sign-in sessions that are written when something in them changes, and otherwise now and then: who only reads needs no
 * write, so that pages are read while the database takes none.
 */
final class QuietSessions extends DatabaseSessionHandler
{
    /** Seconds after which it is written that somebody is still there. */
    private const STILL_THERE = 300;

    private ?string $id = null;

    private string $payload = '';

    private int $touched = 0;

    /**
     * @param  string  $sessionId
     */
    public function read($sessionId): string
    {
        [$this->id, $this->payload, $this->touched] = [$sessionId, '', 0];
        $row = $this->getQuery()
            ->where('id', $sessionId)
            ->first(['payload', 'last_activity']);
        $this->exists = $row !== null;
        if ($row === null || $this->expired($row)) {
            return '';
        }
        $this->payload = is_string($row->payload) ? (string) base64_decode($row->payload, true) : '';
        $this->touched = is_numeric($row->last_activity) ? (int) $row->last_activity : 0;

        return $this->payload;
    }

    /**
     * @param  string  $sessionId
     * @param  string  $data
     */
    public function write($sessionId, $data): bool
    {
        $same = $this->exists && $sessionId === $this->id && $data === $this->payload;
        $age = Carbon::now()->getTimestamp() - $this->touched;
        if ($same && $age >= 0 && $age < self::STILL_THERE) {
            return true;
        }

        return $this->unlessReading(fn (): bool => parent::write($sessionId, $data));
    }

    /** @param  string  $sessionId */
    public function destroy($sessionId): bool
    {
        return $this->unlessReading(fn (): bool => parent::destroy($sessionId));
    }

    /**
     * A page is shown although nobody can write that it was.
     *
     * @param  Closure(): bool  $does
     *
     * @throws QueryException where something is written, and has to be
     */
    private function unlessReading(Closure $does): bool
    {
        if ($this->container?->make('request')->isMethodSafe() !== true) {
            return $does();
        }
        Spare::write($does, $this->connection instanceof Connection ? $this->connection : null);

        return true;
    }
}
