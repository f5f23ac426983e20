<?php

declare(strict_types=1);

namespace App\Database;

use PDOException;

/**
 * Whether the database can take nothing in at the moment, whoever asks and whatever for: it is away, its disk is full, it has no room for
 * another connection or may only be read. A fault of ours is none of these.
 */
final class Unable
{
    /** How soon it is worth trying again, s: sooner than anyone mends a disk, later than a database takes to come back by itself. */
    public const RETRY_S = 5;

    /**
     * The database's own numbers: disk full, table full, no write, too many connections, read-only; and its client's: not reached, by a
     * socket or the network, gone, lost while it was asked.
     *
     * Source: MariaDB Server Documentation, Error Codes (ER_DISK_FULL, ER_RECORD_FILE_FULL, ER_ERROR_ON_WRITE, ER_CON_COUNT_ERROR,
     * ER_OPTION_PREVENTS_STATEMENT; CR_CONNECTION_ERROR, CR_CONN_HOST_ERROR, CR_SERVER_GONE_ERROR, CR_SERVER_LOST).
     */
    private const CODES = [1021, 1114, 1026, 1040, 1290, 2002, 2003, 2006, 2013];

    /** What a storage engine says that has no number of its own for it; 28 is ENOSPC. Source: errno(3). */
    private const SAID = ['No space left on device', 'error 28 '];

    public static function isWhy(PDOException $wrong): bool
    {
        if ((new LostNode)->causedByLostConnection($wrong) || in_array((int) ($wrong->errorInfo[1] ?? 0), self::CODES, true)) {
            return true;
        }
        foreach (self::SAID as $words) {
            if (str_contains($wrong->getMessage(), $words)) {
                return true;
            }
        }

        return false;
    }
}
