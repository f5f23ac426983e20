<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Table;

/** How far a tough cut's collagen has gone: parts of the hours that each core temperature takes, added up. Rows: data/tenderness.json. */
final class Tenderness
{
    /** Hours at a core temperature until it pulls apart; the logarithm goes straight between rows, and on beyond the outer ones. */
    public static function hours(float $coreC): float
    {
        /** @var non-empty-list<array{float, float}> $rows */
        $rows = Table::named('tenderness')['hours'];
        $i = 0;
        while ($i < count($rows) - 2 && $coreC > $rows[$i + 1][0]) {
            $i++;
        }
        [[$fromC, $from], [$toC, $to]] = [$rows[$i], $rows[$i + 1] ?? $rows[$i]];

        return $from * ($to / $from) ** (($coreC - $fromC) / ($toC - $fromC));
    }

    /**
     * The share that a course has done: 1 when it pulls apart, 0 for none of it.
     *
     * @param  list<float>  $seconds
     * @param  list<float>  $coreC  as many
     */
    public static function share(array $seconds, array $coreC): float
    {
        $sum = 0.0;
        for ($i = 1; $i < count($seconds); $i++) {
            $sum += ($seconds[$i] - $seconds[$i - 1]) / 3600.0 / self::hours(0.5 * ($coreC[$i] + $coreC[$i - 1]));
        }

        return $sum;
    }
}
