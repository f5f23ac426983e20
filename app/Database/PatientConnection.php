<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;

/**
 * A connection that tries once more where another writer came first: a deadlock, or two nodes of a cluster that certified the same row.
 * A whole transaction is begun anew, a statement of its own is said again; what is inside a transaction is not.
 */
final class PatientConnection extends MariaDbConnection
{
    private const ATTEMPTS = 5;

    private const FIRST_WAIT_MS = 5;

    public function transaction(Closure $callback, $attempts = self::ATTEMPTS): mixed
    {
        return parent::transaction($callback, $attempts);
    }

    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     */
    protected function handleQueryException(QueryException $e, $query, $bindings, Closure $callback): mixed
    {
        for ($attempt = 1; $this->transactions === 0 && $attempt < self::ATTEMPTS && $this->causedByConcurrencyError($e); $attempt++) {
            usleep(1000 * random_int(1, self::FIRST_WAIT_MS * 2 ** $attempt));
            try {
                return $this->runQueryCallback($query, $bindings, $callback);
            } catch (QueryException $again) {
                $e = $again;
            }
        }

        return parent::handleQueryException($e, $query, $bindings, $callback);
    }
}
