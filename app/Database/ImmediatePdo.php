<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * SQLite whose transactions take the write lock as they begin. A transaction that reads first and writes later would
 * otherwise fail at once with "database is locked" whenever somebody else wrote in between; this one waits its turn,
 * up to the busy timeout. (The framework's own setting for it needs a later PHP.)
 */
final class ImmediatePdo extends PDO
{
    private bool $open = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE TRANSACTION');

        return $this->open = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->open = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->open = false;
        try {
            $this->exec('ROLLBACK');
        } catch (PDOException $problem) {
            // A full disk rolls back by itself: what failed is what has to be told, not this.
            if (! str_contains($problem->getMessage(), 'no transaction is active')) {
                throw $problem;
            }
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->open;
    }
}
