<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\CookerShed;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Stage;

/** Rain takes heat from lid and walls and brings wind: stay and feed the fire, or go indoors. Common practice. */
final class OutOfTheRain
{
    /** The wind that comes with it. Common practice. */
    private const WIND_MS = 4.0;

    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing): array
    {
        $roast = $standing->roast();
        $wet = $roast->changed(windMs: max($roast->windMs, self::WIND_MS), rain: true);
        $outside = array_values(array_filter(
            array_keys($roast->dishes),
            fn (int $dish): bool => array_filter($roast->dishes[$dish]->stages, fn (Stage $stage): bool => ! Indoors::is($stage->cooker)) !== [],
        ));
        $oven = Indoors::way($standing, $outside, 0.0, Message::of('ways.price.no_smoke'));
        $ways = [
            new Way('stay', Message::of('ways.stay'), Message::of('ways.stay.how'), Message::of('ways.price.fuel_and_time'), $wet),
            ...($oven === null ? [] : [$oven]),
        ];
        // A gas grill under its hood minds rain less than coals do.
        $fits = array_filter($outside, fn (int $dish): bool => ! Holds::fits('gas', $standing->dish($dish))) === [];
        if (in_array('gas', $question->own, true) && $outside !== [] && $fits) {
            $gas = CookerShed::kind('gas');
            $begun = [];
            $dry = $wet;
            $heat = null;
            foreach ($outside as $dish) {
                [$changed, $begins] = FromNow::change($standing, $dish, function (Stage $stage) use ($gas, &$heat): Stage {
                    if (Indoors::is($stage->cooker) || $stage->cooker->light === 'gas') {
                        return $stage;
                    }
                    $heat = $gas->clampC($stage->cooker->isOpenFire() ? $gas->defaultC : $stage->cookerC);

                    return FromNow::heated($stage, $gas, $heat);
                });
                $dry = FromNow::with($dry, $dish, $changed->dishes[$dish]);
                $begun += $begins;
            }
            if ($heat !== null) {
                $ways[] = new Way(
                    'gas',
                    Message::of('ways.other_cooker', cooker: $gas->short, heat: Quantity::celsius($heat)),
                    Message::of('ways.other_cooker.how'),
                    Message::of('ways.price.no_smoke'),
                    $dry,
                    $begun,
                );
            }
        }

        return $ways;
    }
}
