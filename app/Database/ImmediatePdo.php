<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * SQLite with transactions that take the right to write when they begin.
 *
 * A transaction that begins with reading and writes later is refused at once when another one has written in between; no
 * patience helps. PDO begins them so, and the framework can only change that from PHP 8.4 on. Here every transaction
 * begins IMMEDIATE: it waits for its turn (the busy timeout) and then sees the newest state. One that SQLite cannot
 * commit, or has ended by itself because the disk is full, is over: the next one can begin.
 */
final class ImmediatePdo extends PDO
{
    private bool $isOpen = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE TRANSACTION');

        return $this->isOpen = true;
    }

    public function commit(): bool
    {
        try {
            $this->exec('COMMIT');
        } catch (PDOException $error) {
            $this->rollBack();
            throw $error;
        }
        $this->isOpen = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->isOpen = false;
        try {
            $this->exec('ROLLBACK');
        } catch (PDOException) {
            // SQLite has ended it by itself
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->isOpen;
    }
}
