<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Stage;

/** Into the kitchen: what an oven can take over, and at which heat. */
final class Indoors
{
    /** Cookers that stand under a roof and burn nothing. */
    private const KINDS = ['oven', 'oven-grill', 'countertop-rotisserie', 'lidded-roaster'];

    /** What an oven is set to in place of an open fire, °C. Common practice. */
    private const FOR_OPEN_FIRE_C = 180.0;

    public static function is(Cooker $cooker): bool
    {
        return $cooker->isRest() || in_array($cooker->id, self::KINDS, true);
    }

    /**
     * All that is still to come of these dishes, in the kitchen oven.
     *
     * @param  list<int>  $dishes
     * @param  float  $leastC  no cooler than this
     * @param  Message  $price  what it costs
     */
    public static function way(Standing $standing, array $dishes, float $leastC, Message $price): ?Way
    {
        $oven = CookerShed::kind('oven');
        $leaves = fn (Stage $stage): bool => ! self::is($stage->cooker);
        $moved = Elsewhere::move($standing, $dishes, $oven, $leaves, $leastC, self::FOR_OPEN_FIRE_C);

        return $moved === null ? null : new Way(
            'oven',
            Message::of('ways.oven', heat: Quantity::celsius($moved->heatC)),
            Message::of($standing->hasBegun() ? 'ways.oven.how' : 'ways.oven.how_before'),
            $price,
            $moved->roast,
            $moved->begun,
        );
    }
}
