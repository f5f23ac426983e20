<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Equipment;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\FireWish;
use Diatherm\Roast\Stage;

/** The bag is empty: another fuel in the same cooker, the kitchen oven, or another cooker. Common practice. */
final class WithoutFuel
{
    /** Cookers that want no fuel from a bag. */
    private const OTHERS = ['gas', 'pellet', 'kettle', 'ceramic'];

    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing): array
    {
        $kind = $question->cooker ?? self::burning($standing);
        if ($kind === null || ! Equipment::has($kind)) {
            return [];
        }
        $dishes = self::on($standing, $kind);
        $oven = Indoors::way($standing, $dishes, 0.0, Message::of('ways.price.no_smoke'));

        return [
            ...self::otherFuels($standing, $kind),
            ...($oven === null ? [] : [$oven]),
            ...self::otherCooker($question, $standing, $kind, $dishes),
        ];
    }

    /** The fire that is eating: of those with a dish on it the first that burns something. */
    private static function burning(Standing $standing): ?string
    {
        $kinds = array_map(fn ($fire): string => $fire->plan->stove->equipment->kind->id, $standing->plan->fires);
        $kinds = array_values(array_filter($kinds, fn (string $kind): bool => Equipment::of($kind)->fuels() !== []));

        return $kinds[0] ?? null;
    }

    /** @return list<int> dishes that are on it or still come to it */
    private static function on(Standing $standing, string $kind): array
    {
        return array_values(array_filter(array_keys($standing->roast()->dishes), function (int $dish) use ($standing, $kind): bool {
            $from = $standing->isOn($dish) ? $standing->step($dish)[0] : 0;
            $stages = array_slice($standing->dish($dish)->stages, $from);

            return in_array($kind, array_map(fn (Stage $stage): string => $stage->cooker->id, $stages), true);
        }));
    }

    /** @return list<Way> */
    private static function otherFuels(Standing $standing, string $kind): array
    {
        $roast = $standing->roast();
        $wish = $roast->fires[$kind] ?? new FireWish($kind);
        $equipment = Equipment::of($kind);
        $burns = $wish->burns($equipment)?->id;
        $ways = [];
        foreach ($equipment->fuels() as $fuel) {
            if ($fuel->id === $burns || count($ways) >= 2) {
                continue;
            }
            $ways[] = new Way(
                "fuel_$fuel->id",
                Message::of('ways.other_fuel', fuel: $fuel->boughtAs),
                Message::of('ways.other_fuel.how'),
                Message::of($fuel->isWood() ? 'ways.price.wood' : 'ways.price.other_coal'),
                $roast->changed(fires: [
                    ...$roast->fires,
                    $kind => new FireWish($kind, $wish->own, $fuel->id, $wish->layout, null, $wish->steady, smoke: $wish->smoke),
                ]),
            );
        }

        return $ways;
    }

    /**
     * @param  list<int>  $dishes
     * @return list<Way>
     */
    private static function otherCooker(Question $question, Standing $standing, string $kind, array $dishes): array
    {
        foreach (array_intersect(self::OTHERS, $question->own) as $other) {
            if ($other === $kind || Equipment::of($other)->fuels() === Equipment::of($kind)->fuels()) {
                continue;
            }
            $cooker = CookerShed::kind($other);
            $moved = Elsewhere::move($standing, $dishes, $cooker, fn (Stage $stage): bool => $stage->cooker->id === $kind);
            if ($moved !== null) {
                return [new Way(
                    "cooker_$other",
                    Message::of('ways.other_cooker', cooker: $cooker->short, heat: Quantity::celsius($moved->heatC)),
                    Message::of('ways.other_cooker.how'),
                    Message::of('ways.price.another_fire'),
                    $moved->roast,
                    $moved->begun,
                )];
            }
        }

        return [];
    }
}
