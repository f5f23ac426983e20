<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\User;
use App\Observed\Counters;
use Closure;

/**
 * Takes turns at what costs processor time: one computation at a time for each kitchen, and some at once on this machine, so that workers
 * are left for those who ask for little. Turns are kept in the memory that the workers share; without it each request goes its own way.
 */
final class Turn
{
    /** A turn of a worker that died is free again after so long. */
    private const LONGEST_S = 90;

    private const LOOKS_EVERY_US = 25_000;

    private static bool $isTaken = false;

    /**
     * @template T
     *
     * @param  float  $patienceS  how long to wait for a turn
     * @param  Closure(): T  $work
     * @return T
     *
     * @throws Busy when no turn is free by then, or the kitchen's allowance is spent
     */
    public static function take(User $cook, string $address, float $patienceS, Closure $work): mixed
    {
        if (self::$isTaken) {
            return $work();
        }
        $allowance = Allowance::of($cook, $address);
        $allowance->insist();
        $turns = self::wait($cook, $patienceS);
        self::$isTaken = true;
        $beganS = self::processorS();
        try {
            return $work();
        } finally {
            self::$isTaken = false;
            foreach ($turns as $turn) {
                apcu_delete($turn);
            }
            $allowance->spend(self::processorS() - $beganS);
        }
    }

    /** @return list<string> turns that were taken, to be given back */
    private static function wait(User $cook, float $patienceS): array
    {
        if (! Counters::canCount()) {
            return [];
        }
        $own = "work.kitchen.$cook->id";
        $waits = "work.waits.$cook->id";
        $end = microtime(true) + $patienceS;
        $isWaiting = false;
        try {
            do {
                if (apcu_add($own, 1, self::LONGEST_S)) {
                    foreach (range(1, max(1, (int) config('app.work.at_once'))) as $slot) {
                        if (apcu_add("work.slot.$slot", 1, self::LONGEST_S)) {
                            return [$own, "work.slot.$slot"];
                        }
                    }
                    apcu_delete($own);
                }
                // One waits for each kitchen; a crowd of them would hold every worker.
                $isWaiting = $isWaiting || apcu_add($waits, 1, self::LONGEST_S);
                if (! $isWaiting) {
                    break;
                }
                usleep(self::LOOKS_EVERY_US);
            } while (microtime(true) < $end);
        } finally {
            if ($isWaiting) {
                apcu_delete($waits);
            }
        }
        Counters::add('diatherm_busy_total');
        throw Busy::now();
    }

    /** Processor time of this worker, s. */
    private static function processorS(): float
    {
        $used = getrusage();

        return $used === false ? 0.0 : $used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec'] + 1e-6 * ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']);
    }
}
