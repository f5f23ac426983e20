<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooker\GasGrill;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Figure;
use Diatherm\Tending\FirePlan;

/** What a fire plan asks of the cook's hands, in words and by the clock. */
final class FireTasks
{
    /** Wind and a nearby fire heat one side of a pot: pot and lid are turned by a quarter so often. Common practice: 15 to 20 min. */
    private const QUARTER_TURN_MINUTES = 18.0;

    /** Lid off and slots open, coals come back to a glow. Common practice. */
    private const TAKE_OVER_MINUTES = 5.0;

    private const MOST_TURNS = 40;

    /** @return array{string, string} title and detail of the lighting */
    public static function light(FirePlan $fire): array
    {
        $fuel = $fire->stove->fuel;
        if ($fuel === null) {
            return match ($fire->stove->equipment->kind->light) {
                'gas' => ['Light the '.$fire->stove->equipment->kind->short, 'Lid open to light. '.ucfirst(self::preheating($fire))],
                default => [
                    'Switch on the '.$fire->stove->equipment->kind->short,
                    ucfirst($fire->stove->curve->mechanism->inWords($fire->steps[0]->settings)).'. Dry, grounded, clear of walls',
                ],
            };
        }
        $care = 'Outdoors only: charcoal gives off carbon monoxide. Mind local fire bans';
        if ($fuel->isWood()) {
            return [
                sprintf('Light %.0f kg of wood', $fire->litKg()),
                sprintf(
                    'It leaves %s in about %.0f min. Clean dry wood; mind local fire bans; water at hand',
                    $fire->measure($fire->run->startKg),
                    $fuel->ashOverMinutes,
                ),
            ];
        }

        return [
            sprintf('Light %s', $fire->measure($fire->run->startKg)),
            sprintf(
                '%s; grey in about %.0f min. ',
                self::chimneys($fire->run->startKg),
                $fuel->ashOverMinutes,
            ).($fuel->caution === '' ? '' : $fuel->caution.' ').$care,
        ];
    }

    /** @return array{string, string} title and detail of what is done when the coals are grey */
    public static function lay(FirePlan $fire): array
    {
        $step = $fire->steps[0];
        $title = $fire->stove->equipment->isOpen() && $fire->handSeconds() !== null
            ? sprintf('Lay the fire: a hand held %.0f s', $fire->handSeconds())
            : sprintf('Bring the %s to %s', $fire->stove->equipment->kind->short, Figure::celsius($step->targetC));
        $parts = array_filter([
            self::layout($fire),
            $fire->closeInC() !== null
                ? sprintf('Slots wide open to %.0f °C, then %s', $fire->closeInC(), $fire->stove->curve->mechanism->inWords($step->settings))
                : (
                    $fire->stove->curve->mechanism instanceof GasGrill
                        ? self::preheating($fire)
                        : ($fire->count() !== null ? '' : $fire->stove->curve->mechanism->inWords($step->settings))
                ),
            $fire->stove->equipment->kind->lid && $fire->count() === null ? 'lid down' : '',
        ], fn (string $words): bool => $words !== '');

        return [$title, ucfirst(implode('. ', array_map(ucfirst(...), $parts)))];
    }

    /**
     * @param  float  $likelyMinutes  until the last dish comes off
     * @param  bool  $begun  whether a dish is on it already
     * @return list<Entry> what is done to the fire once its first dish is on
     */
    public static function entries(FirePlan $fire, float $likelyMinutes, bool $begun): array
    {
        $kind = $fire->stove->equipment->kind->id;
        $at = fn (float $minutes): \DateTimeImmutable => $fire->use->startsAt->setTimestamp(
            $fire->use->startsAt->getTimestamp() + (int) round(60.0 * $minutes),
        );
        $entries = [];
        if ($fire->lent->from !== null) {
            $fuel = $fire->lent->topUpKg > 0.0 ? $fire->stove->fuel : null;
            $more = $fuel?->inWords($fire->lent->topUpKg);
            $entries = $fuel === null
                ? []
                : [new Entry("fire.$kind.light", $fire->use->dish, Act::Fire, $at(-self::TAKE_OVER_MINUTES - $fuel->ashOverMinutes), "Light $more more", self::chimneys($fire->lent->topUpKg).", for the sear over what is left in the {$fire->lent->from}", until: $at(0.0))];

            return [
                ...$entries,
                new Entry(
                    "fire.$kind.lay",
                    $fire->use->dish,
                    Act::Fire,
                    $at(-self::TAKE_OVER_MINUTES),
                    'Pan out, lid off, slots open',
                    "Rake the coals in the {$fire->lent->from} together".($more === null ? ': they do for the sear' : ", the $more on them"),
                    until: $at(0.0),
                ),
            ];
        }
        if (! $fire->use->first) {
            // The dish comes to it from another cooker: it has to be ready by then.
            [$light, $care] = self::light($fire);
            [$lay, $how] = self::lay($fire);
            $entries[] = new Entry("fire.$kind.light", $fire->use->dish, Act::Fire, $at($fire->lightMinutes()), $light, $care);
            $entries[] = new Entry("fire.$kind.lay", $fire->use->dish, Act::Fire, $at(-$fire->use->preheatMinutes), $lay, $how, until: $at(0.0));
        }
        if (! $begun && $fire->stove->equipment->isVented() && $fire->run->closedInMinutes !== null) {
            $entries[] = new Entry(
                "fire.$kind.close",
                $fire->use->dish,
                Act::Fire,
                $at($fire->run->closedInMinutes),
                ucfirst($fire->stove->curve->mechanism->inWords($fire->steps[0]->settings)),
                sprintf('Once it shows %.0f °C: it climbs on by itself', $fire->closeInC() ?? $fire->steps[0]->targetC),
                until: $at(0.0),
            );
        }
        foreach (array_slice($fire->steps, 1) as $i => $step) {
            $entries[] = new Entry(
                "fire.$kind.step.$i",
                $fire->use->dish,
                Act::Fire,
                $at($step->fromMinutes),
                $fire->stove->equipment->isOpen() ? sprintf(
                    '%s: a hand held %.0f s',
                    $fire->stove->name,
                    HandTest::seconds(HandTest::fluxOfWallWm2($step->targetC)),
                ) : sprintf('%s to %s', $fire->stove->name, Figure::celsius($step->targetC)),
                ucfirst($fire->stove->curve->mechanism->inWords($step->settings)),
            );
        }
        foreach ($fire->run->refuels as $i => $refuel) {
            $fuel = $fire->stove->fuel;
            if ($fuel === null) {
                continue;
            }
            $words = $fire->measure($refuel->kg);
            $second = $fire->hasSecondFire();
            $entries[] = new Entry(
                "fire.$kind.ready.$i",
                $fire->use->dish,
                Act::Fire,
                $at($refuel->lightMinutes),
                $second ? sprintf('Feed the second fire: %.0f kg of wood', $fuel->boughtKg($refuel->kg)) : "Light $words more",
                $second
                    ? 'From the back; coals are taken from its front'
                    : self::chimneys($refuel->kg).', for the '.$fire->stove->equipment->kind->short,
                until: $at($refuel->minutes),
            );
            $entries[] = new Entry(
                "fire.$kind.refuel.$i",
                $fire->use->dish,
                Act::Fire,
                $at($refuel->minutes),
                sprintf($second && $fire->stove->equipment->isOpen() ? 'Rake in %s' : 'Add %s', $words),
                $refuel->minutes > $likelyMinutes ? 'Only if it is slow and still on' : self::refuelled($fire),
                until: isset($fire->run->refuels[$i + 1]) ? $at($fire->run->refuels[$i + 1]->minutes) : null,
            );
        }
        if ($fire->count() !== null) {
            for ($k = 1; $k <= self::MOST_TURNS && $k * self::QUARTER_TURN_MINUTES < $fire->use->untilMinutes - 15.0; $k++) {
                $minutes = $k * self::QUARTER_TURN_MINUTES;
                $entries[] = new Entry(
                    "fire.$kind.quarter.$k",
                    $fire->use->dish,
                    Act::Chore,
                    $at($minutes),
                    'Quarter turn of pot and lid',
                    'Pot one way, lid the other: no side stays by the wind',
                    until: $at($minutes + self::QUARTER_TURN_MINUTES),
                );
            }
        }

        return $entries;
    }

    /** Where the coals go. */
    private static function layout(FirePlan $fire): string
    {
        $count = $fire->count();
        if ($count !== null) {
            return $count['under'] === 0
                ? sprintf('%d on the lid, in a ring; a good fire close at its side', $count['over'])
                : sprintf('%d on the lid, %d below, in a ring', $count['over'], $count['under']);
        }
        if ($fire->stove->wish->piles !== null) {
            return 'the coals as you laid them on the picture';
        }
        $names = $fire->stove->equipment->layouts();

        return $fire->stove->fuel === null || $fire->stove->layout === null ? '' : lcfirst($names[$fire->stove->layout] ?? '');
    }

    private static function refuelled(FirePlan $fire): string
    {
        return match (true) {
            $fire->count() !== null => sprintf(
                'Where the smallest lie, on the lid%s; knock the ash off. The lid level, so that no ash tips in',
                $fire->count()['under'] === 0 ? '' : ' and below as before',
            ),
            $fire->stove->equipment->isOpen() => 'Where the old ones lie; then the hand test',
            default => 'On the old ones, lid down again at once',
        };
    }

    private static function preheating(FirePlan $fire): string
    {
        return sprintf(
            'all burners full for %.0f min with the lid down, then %s',
            $fire->use->preheatMinutes,
            $fire->stove->curve->mechanism->inWords($fire->steps[0]->settings),
        );
    }

    private static function chimneys(float $kg): string
    {
        $share = Fuel::chimneys($kg);

        return match (true) {
            $share < 0.17 => 'A few in the bottom of a chimney',
            $share < 0.29 => 'About a quarter of a chimney',
            $share < 0.42 => 'About a third of a chimney',
            $share < 0.58 => 'About half a chimney',
            $share < 0.88 => 'About three quarters of a chimney',
            $share < 1.15 => 'A full chimney',
            default => sprintf('%.1f chimneys', $share),
        };
    }
}
