<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Stage;

/** Brown before it is done: foil over it, a cooler fire, or an oven, where nothing browns as fast. Common practice. */
final class SkinAhead
{
    /** So much cooler browns by half as much. Common practice. */
    private const COOLER_K = 30.0;

    /** @return list<Way> none for what is not on the heat, or cannot be seen */
    public static function ways(Question $question, Standing $standing): array
    {
        $dish = $standing->asked($question->dish);
        if ($dish === null || $standing->dish($dish)->isBuried()) {
            return [];
        }
        $stage = $standing->dish($dish)->stages[$standing->step($dish)[0]];
        if ($stage->cooker->isRest()) {
            return [];
        }
        $oven = $stage->cooker->id === 'oven' ? null : Indoors::way($standing, [$dish], 0.0, Message::of('ways.price.no_smoke'));

        return [...self::covered($dish, $stage, $standing), ...self::cooler($dish, $stage, $standing), ...($oven === null ? [] : [$oven])];
    }

    /** @return list<Way> foil laid on loosely shades the skin and lets the steam by: it takes as long as before */
    private static function covered(int $dish, Stage $stage, Standing $standing): array
    {
        return $stage->wrap !== null ? [] : [new Way(
            'cover',
            Message::of('ways.cover', dish: $standing->dish($dish)->name),
            Message::of('ways.cover.how'),
            Message::of('ways.price.softer_skin'),
            $standing->roast(),
        )];
    }

    /** @return list<Way> */
    private static function cooler(int $dish, Stage $stage, Standing $standing): array
    {
        $celsius = max(HeatFor::coolestC($standing->dish($dish), $stage), 5.0 * round(($stage->cookerC - self::COOLER_K) / 5.0));
        if ($stage->cooker->isOpenFire() || $celsius > $stage->cookerC - 5.0) {
            return [];
        }
        [$roast, $begun] = FromNow::change(
            $standing,
            $dish,
            fn (Stage $one): Stage => $one->cooker->id === $stage->cooker->id
                ? FromNow::heated($one, celsius: min($one->cookerC, $celsius))
                : $one,
        );

        return [new Way(
            'cooler',
            Message::of('ways.slower', cooker: $stage->cooker->short, heat: Quantity::celsius($celsius)),
            Message::of('ways.slower.how', dish: $standing->dish($dish)->name, heat: Quantity::celsius($celsius)),
            Message::of('ways.price.paler'),
            $roast,
            $begun,
        )];
    }
}
