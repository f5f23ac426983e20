<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\LostConnectionDetector;
use Throwable;

/** A node that has lost the others answers and takes nothing: as good as gone, and the balancer has another. */
final class LostNode extends LostConnectionDetector
{
    private const SAID = ['WSREP has not yet prepared node', 'Server shutdown in progress'];

    public function causedByLostConnection(Throwable $e): bool
    {
        foreach (self::SAID as $words) {
            if (str_contains($e->getMessage(), $words)) {
                return true;
            }
        }

        return parent::causedByLostConnection($e);
    }
}
