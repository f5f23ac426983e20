<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Reading;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Of all that was read, what tells something: everything that a hand took; of a probe that sends every minute one reading in so long,
 * its newest, and where it jumped. Where more came without a device than a hand takes, it was a logger's table, and is told as a probe is.
 * The log keeps all of them.
 */
final class Told
{
    private const NEW_S = 3600;

    private const NEW_EVERY_S = 180;

    private const OLD_EVERY_S = 600;

    /** No core does this from one minute to the next: a probe slipped, or was put back. */
    private const JUMP_K = 8.0;

    /** By hand, in one roast: one every few minutes through a long night, of several dishes. */
    private const MOST_BY_HAND = 400;

    /** Loads the log of a roast as far as it tells something. Only that much is made into objects: a probe fills the log with thousands. */
    public static function log(Roast $stored, CarbonImmutable $now): Roast
    {
        $rows = DB::table('readings')->where('roast_id', $stored->id)->orderBy('at')->orderBy('id')->get()->all();
        $told = self::of(array_values($rows), $now->getTimestamp());

        return $stored->load('events')->setRelation('readings', Reading::query()->hydrate(array_map(fn (stdClass $row): array => (array) $row, $told)));
    }

    /**
     * @param  list<stdClass>  $rows  of the readings, in order of time
     * @return list<stdClass> in order of time
     */
    private static function of(array $rows, int $nowS): array
    {
        $byHand = count(array_filter($rows, fn (stdClass $row): bool => $row->device_id === null)) <= self::MOST_BY_HAND;
        // It moves on by whole stretches, so that what is told does not change with every second.
        $newFromS = intdiv($nowS - self::NEW_S, self::OLD_EVERY_S) * self::OLD_EVERY_S;
        $told = [];
        /** @var array<string, array{int, int, float}> $last of each probe: place in $told, stretch of time, °C */
        $last = [];
        foreach ($rows as $row) {
            if ($byHand && $row->device_id === null) {
                $told[] = $row;

                continue;
            }
            $probe = "$row->device_id $row->channel $row->dish $row->place $row->piece";
            $at = (int) strtotime("$row->at UTC");
            $every = $at >= $newFromS ? self::NEW_EVERY_S : self::OLD_EVERY_S;
            $stretch = intdiv($at, $every) * $every;
            [$index, $before, $celsius] = $last[$probe] ?? [-1, -1, (float) $row->celsius];
            if ($stretch === $before && abs($row->celsius - $celsius) < self::JUMP_K) {
                // The newest of its stretch stands for it.
                unset($told[$index]);
            }
            $told[] = $row;
            $last[$probe] = [array_key_last($told), $stretch, (float) $row->celsius];
        }

        return array_values($told);
    }
}
