<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\Cooker;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;

/** What is still to come of some dishes, on another cooker: at their own heat, as far as one cooker has it. */
final readonly class Elsewhere
{
    /** @param  array<int, int>  $begun  step that begins now, by number of the dish */
    private function __construct(
        public Roast $roast,
        public array $begun,
        public float $heatC,
    ) {
    }

    /**
     * @param  list<int>  $dishes
     * @param  \Closure(Stage): bool  $leaves  whether a step leaves its cooker for the other one
     * @param  float  $leastC  no cooler than this
     * @param  float|null  $openC  in place of an open fire, or over one; the other cooker's usual heat where nothing is given
     * @return self|null null where nothing moves, or one of them does not go into it
     */
    public static function move(
        Standing $standing,
        array $dishes,
        Cooker $to,
        \Closure $leaves,
        float $leastC = 0.0,
        ?float $openC = null,
    ): ?self {
        $roast = $standing->roast();
        $begun = [];
        $heats = [];
        foreach ($dishes as $dish) {
            if (! $standing->isWaiting($dish) && ! $standing->isOn($dish) || $standing->dish($dish)->isBuried()) {
                continue;
            }
            if (! Holds::fits($to->id, $standing->dish($dish))) {
                return null;
            }
            $first = true;
            $goes = function (Stage $stage) use ($to, $leaves, $leastC, $openC, &$heats, &$first): Stage {
                if (! $leaves($stage)) {
                    return $stage;
                }
                $open = $stage->cooker->isOpenFire() || $to->isOpenFire();
                $celsius = $to->clampC(max($leastC, $open ? $openC ?? $to->defaultC : $stage->cookerC));
                // What comes first in every dish shares the cooker: it has one heat, that of the first of them.
                $heats[] = $celsius = $first ? $heats[0] ?? $celsius : $celsius;
                $first = false;

                return FromNow::heated($stage, $to, $celsius);
            };
            [$changed, $begins] = FromNow::change($standing, $dish, $goes);
            $roast = FromNow::with($roast, $dish, $changed->dishes[$dish]);
            $begun += $begins;
        }

        return $heats === [] ? null : new self($roast, $begun, $heats[0]);
    }
}
