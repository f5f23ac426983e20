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
        $isOut = fn (Stage $stage): bool => ! Indoors::is($stage->cooker);
        $outside = array_values(array_filter(
            array_keys($roast->dishes),
            fn (int $dish): bool => array_filter($roast->dishes[$dish]->stages, $isOut) !== [],
        ));
        $oven = Indoors::way($standing, $outside, 0.0, Message::of('ways.price.no_smoke'));
        $ways = [
            new Way('stay', Message::of('ways.stay'), Message::of('ways.stay.how'), Message::of('ways.price.fuel_and_time'), $wet),
            ...($oven === null ? [] : [$oven]),
        ];
        // A gas grill under its hood minds rain less than coals do.
        $gas = CookerShed::kind('gas');
        $moved = in_array('gas', $question->own, true)
            ? Elsewhere::move($standing, $outside, $gas, fn (Stage $stage): bool => $isOut($stage) && $stage->cooker->light !== 'gas')
            : null;

        return $moved === null ? $ways : [...$ways, new Way(
            'gas',
            Message::of('ways.other_cooker', cooker: $gas->short, heat: Quantity::celsius($moved->heatC)),
            Message::of('ways.other_cooker.how'),
            Message::of('ways.price.no_smoke'),
            $moved->roast->changed(windMs: $wet->windMs, rain: true),
            $moved->begun,
        )];
    }
}
