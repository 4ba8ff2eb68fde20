<?php

declare(strict_types=1);

namespace App\Faults;

use PDOException;

/** What SQLite says, as the fault that it is. */
final class DatabaseFault
{
    public static function of(PDOException $error): Fault
    {
        $says = $error->getMessage();

        return match (true) {
            str_contains($says, 'is full'), str_contains($says, 'disk I/O error'), str_contains($says, 'unable to open database file') => DiskFull::writing('The change', $error),
            str_contains($says, 'is locked'), str_contains($says, 'is busy') => DatabaseBusy::waited($error),
            default => DatabaseFailed::because($error),
        };
    }
}
