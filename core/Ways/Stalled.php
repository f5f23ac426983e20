<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Stage;
use Diatherm\Roast\Wrapping;

/** A tough cut whose core stands still while it sweats: wait, wrap, or hotter; all three are practised. */
final class Stalled
{
    /** Cores between which evaporation holds a joint, °C. Common practice: 65 to 75 at a low fire. */
    private const FROM_C = 60.0;

    private const TO_C = 82.0;

    /** Rising by less than this in that time it stands still. Common practice. */
    private const RISES_K = 2.0;

    private const LOOKED_S = 2400.0;

    /** What is left to wait for ends it sooner than a wrap would. */
    private const FAR_K = 6.0;

    private const HOTTER_K = 25.0;

    /** Whether the slowest dish stands still, by what was read of it. */
    public static function is(Standing $standing): bool
    {
        $dish = $standing->slowest();
        $live = $dish === null ? null : $standing->live[$dish] ?? null;
        if ($dish === null || $live === null || ! $standing->dish($dish)->cut->tough || $live->belief->newest === null) {
            return false;
        }
        $made = $standing->progress[$dish]->onAt;
        $now = $made === null ? 0.0 : (float) ($standing->now->getTimestamp() - $made->getTimestamp());
        $stage = $standing->dish($dish)->stages[$standing->step($dish)[0]];
        $core = $live->coreNowC->likely;

        return $now > self::LOOKED_S && $stage->wrap === null && ! $stage->cooker->isRest()
            && $core >= self::FROM_C && $core <= min(self::TO_C, $live->pullC - self::FAR_K)
            && $core - $live->belief->coreAt($now - self::LOOKED_S) < self::RISES_K;
    }

    /** @return list<Way> */
    public static function ways(Standing $standing): array
    {
        $dish = $standing->slowest();
        if ($dish === null || $standing->dish($dish)->isBuried()) {
            return [];
        }
        $stage = $standing->dish($dish)->stages[$standing->step($dish)[0]];
        if ($stage->cooker->isRest()) {
            return [];
        }
        $ways = [new Way(
            'wait',
            Message::of('ways.wait', dish: $standing->dish($dish)->name),
            Message::of('ways.wait.how'),
            Message::of('ways.price.time'),
            $standing->roast(),
        )];
        if ($stage->wrap === null) {
            $inFoil = fn (Stage $one): Stage => FromNow::heated($one, wrap: $one->wrap ?? Wrapping::Foil);
            [$roast, $begun] = FromNow::change($standing, $dish, $inFoil);
            $ways[] = new Way(
                'wrap',
                Message::of('ways.wrap', dish: $standing->dish($dish)->name),
                Message::of('ways.wrap.how'),
                Message::of('ways.price.soft_crust'),
                $roast,
                $begun,
            );
        }
        $celsius = min($stage->cooker->mostC, HeatFor::HOTTEST_C, 5.0 * round(($stage->cookerC + self::HOTTER_K) / 5.0));
        if (! $stage->cooker->isOpenFire() && $celsius > $stage->cookerC + 5.0) {
            [$roast, $begun] = FromNow::change(
                $standing,
                $dish,
                fn (Stage $one): Stage => $one->cooker->id === $stage->cooker->id
                    ? FromNow::heated($one, celsius: max($one->cookerC, $celsius))
                    : $one,
            );
            $ways[] = new Way(
                'hotter',
                Message::of('ways.hotter', cooker: $stage->cooker->short, heat: Quantity::celsius($celsius)),
                Message::of('ways.hotter.how', dish: $standing->dish($dish)->name, heat: Quantity::celsius($celsius)),
                Message::of('ways.price.wider_rim'),
                $roast,
                $begun,
            );
        }

        return $ways;
    }
}
