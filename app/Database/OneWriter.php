<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\PostgresConnection;

/**
 * PostgreSQL with one transaction that writes at a time, as SQLite has it by itself. What is read in a transaction and
 * decided on (a version, the next place in a job's order, whether a lead is left) is still so when it is written.
 * Writes take a few milliseconds each; reading waits for nobody.
 */
final class OneWriter extends PostgresConnection
{
    /** Key of the advisory lock: any number that nobody else on this database takes. */
    private const LOCK = 781_204_551;

    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        // Whoever waits longer is told so, as with SQLite's busy timeout.
        $this->getPdo()->exec("set local lock_timeout = '5s'; select pg_advisory_xact_lock(".self::LOCK.')');
    }
}
