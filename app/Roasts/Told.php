<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Reading;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/**
 * Of all that was read, what tells something: everything that a hand took; of a probe that sends every minute one reading in so long,
 * its newest, and where it jumped. The log keeps all of them.
 */
final class Told
{
    private const NEW_S = 3600;

    private const NEW_EVERY_S = 180;

    private const OLD_EVERY_S = 600;

    /** No core does this from one minute to the next: a probe slipped, or was put back. */
    private const JUMP_K = 8.0;

    /**
     * @param  Collection<int, Reading>  $readings  in order of time
     * @return list<Reading> in order of time
     */
    public static function of(Collection $readings, CarbonImmutable $now): array
    {
        $told = [];
        /** @var array<string, array{int, int, float}> $last of each probe: place in $told, stretch of time, °C */
        $last = [];
        foreach ($readings as $reading) {
            if ($reading->device_id === null) {
                $told[] = $reading;

                continue;
            }
            $probe = "$reading->device_id $reading->channel $reading->dish {$reading->place->value} $reading->piece";
            $at = $reading->at->getTimestamp();
            $every = $now->getTimestamp() - $at < self::NEW_S ? self::NEW_EVERY_S : self::OLD_EVERY_S;
            $stretch = intdiv($at, $every) * $every;
            [$index, $before, $celsius] = $last[$probe] ?? [-1, -1, $reading->celsius];
            if ($stretch === $before && abs($reading->celsius - $celsius) < self::JUMP_K) {
                // The newest of its stretch stands for it.
                unset($told[$index]);
            }
            $told[] = $reading;
            $last[$probe] = [array_key_last($told), $stretch, $reading->celsius];
        }

        return array_values($told);
    }
}
