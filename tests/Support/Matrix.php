<?php

declare(strict_types=1);

namespace Tests\Support;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Food\Cut;
use Diatherm\Food\Larder;
use Diatherm\Food\Preparation;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\RoastFile;

/** Roasts to try everything with: every cut on every cooker, and the chains of steps that cooks use. Common practice. */
final class Matrix
{
    private const PAUSES = [5, 15, 30];

    private const SMOKERS = ['kettle', 'ceramic', 'pellet'];

    private const SMOKE_C = 107;

    private const HOT_C = 230;

    /** Cuts that are cooked low and then seared, with a core to leave the low heat at. */
    private const SEARED = ['beef-tri-tip' => 49, 'lamb-rack' => 52, 'beef-steak' => 45, 'pork-loin' => 56];

    /** @return array<string, array<string, mixed>> roast files by name */
    public static function all(): array
    {
        return [
            ...self::single(), ...self::roastRestSear(), ...self::smokeRoast(), ...self::searChillBake(),
            ...self::lowHot(), ...self::odd(), ...self::tough(), ...self::overAndBeside(),
        ];
    }

    /** @return array<string, array<string, mixed>> every so many, so that each cut, cooker and chain has its turn */
    public static function sample(int $every): array
    {
        $kept = [];
        foreach (array_keys($all = self::all()) as $i => $name) {
            // A stride that shares no factor with the number of cookers meets each of them.
            if ($i % $every === 0) {
                $kept[$name] = $all[$name];
            }
        }

        return $kept;
    }

    /** @return array<string, array<string, mixed>> */
    public static function single(): array
    {
        $files = [];
        foreach (Larder::cuts() as $cut) {
            foreach (self::cookers() as $cooker) {
                $files["$cut->id on $cooker->id"] = self::file($cut, [['cooker' => $cooker->id, 'pull' => true]]);
            }
        }
        foreach (['turkey-breast', 'venison-haunch', 'lamb-shoulder', 'beef-chuck', 'chicken', 'potatoes'] as $id) {
            foreach (['dry', 'cold', 'wet'] as $ground) {
                $files["$id buried in $ground ground"] = self::file(
                    Larder::cut($id),
                    [['cooker' => 'camp-oven', 'pull' => true]],
                    ['rig' => ['kind' => 'buried_pot', 'ground' => $ground]],
                );
            }
        }
        foreach (['turkey', 'chicken', 'fish-whole', 'chicken-breast'] as $id) {
            foreach (self::cookers() as $cooker) {
                $files["$id stuffed on $cooker->id"] = self::file(
                    Larder::cut($id),
                    [['cooker' => $cooker->id, 'pull' => true]],
                    ['preparations' => [Preparation::named('stuff')->suits(Larder::cut($id)) ? 'stuff' : 'fill']],
                );
            }
        }

        return $files;
    }

    /** @return array<string, array<string, mixed>> */
    public static function roastRestSear(): array
    {
        $files = [];
        $cuts = array_keys(self::SEARED);
        $n = 0;
        foreach (self::cookers() as $low) {
            foreach (self::cookers() as $hot) {
                foreach (self::PAUSES as $pause) {
                    $id = $cuts[$n++ % count($cuts)];
                    $files["$id roasted on $low->id, off for $pause min, seared on $hot->id"] = self::file(Larder::cut($id), [
                        ['cooker' => $low->id, 'until_core_c' => self::SEARED[$id]],
                        ['cooker' => 'rest', 'minutes' => $pause],
                        ['cooker' => $hot->id, 'cooker_c' => max($hot->defaultC, min($hot->mostC, self::HOT_C)), 'minutes' => 4],
                    ]);
                }
            }
        }

        return $files;
    }

    /** @return array<string, array<string, mixed>> */
    public static function smokeRoast(): array
    {
        $files = [];
        foreach (Larder::cuts() as $cut) {
            foreach (self::SMOKERS as $smoker) {
                $files["$cut->id smoked and roasted on $smoker"] = self::file(
                    $cut,
                    [
                        ['cooker' => $smoker, 'cooker_c' => self::SMOKE_C, 'minutes' => 40],
                        ['cooker' => $smoker, 'cooker_c' => 190, 'pull' => true],
                    ],
                );
            }
        }

        return $files;
    }

    /** @return array<string, array<string, mixed>> */
    public static function searChillBake(): array
    {
        $files = [];
        foreach (['beef-fillet', 'pork-fillet', 'venison-saddle', 'salmon-side'] as $id) {
            foreach (['griddle', 'open-grate', 'gas'] as $hot) {
                foreach (['oven', 'ceramic', 'kettle', $hot] as $bake) {
                    $cut = Larder::cut($id);
                    $files["$id seared on $hot, chilled, baked in $bake"] = self::file($cut, [
                        [
                            'cooker' => $hot,
                            'cooker_c' => CookerShed::kind($hot)->defaultC,
                            'minutes' => 6,
                        ], ['cooker' => 'rest', 'cooker_c' => 5, 'minutes' => 180],
                        ['cooker' => $bake, 'cooker_c' => max(200, CookerShed::kind($bake)->leastC), 'pull' => true],
                    ], $cut->kind === 'game' || $cut->kind === 'beef' ? ['preparations' => ['pastry']] : []);
                }
            }
        }

        return $files;
    }

    /** @return array<string, array<string, mixed>> */
    public static function lowHot(): array
    {
        $files = [];
        foreach (Larder::cuts() as $cut) {
            foreach ([['pellet', 'pellet'], ['kettle', 'kettle'], ['lidded-roaster', 'oven'], ['ceramic', 'open-grate']] as [$low, $hot]) {
                $hotC = $hot === 'open-grate' ? 450 : self::HOT_C;
                $files["$cut->id low on $low, hot on $hot"] = self::file($cut, [
                    [
                        'cooker' => $low,
                        'cooker_c' => 120,
                        'until_core_c' => max(30.0, $cut->taste($cut->usualTaste)->coreC - 12.0),
                    ], ['cooker' => $hot, 'cooker_c' => $hotC, 'pull' => true],
                ]);
            }
        }

        return $files;
    }

    /**
     * @return array<string, array<string, mixed>> tough cuts till they pull apart, bare and wrapped; what is rolled; an open
     *     fire by the hand
     */
    public static function tough(): array
    {
        $files = [];
        foreach (array_filter(Larder::cuts(), fn (Cut $cut): bool => $cut->tough) as $cut) {
            foreach (['pellet', 'kettle', 'ceramic', 'oven', 'lidded-roaster', 'camp-oven'] as $cooker) {
                foreach ([null, 'foil', 'paper'] as $wrap) {
                    $files["$cut->id on $cooker till tender, ".($wrap ?? 'bare')] = self::file($cut, [
                        ['cooker' => $cooker, 'cooker_c' => 125, 'until_core_c' => 68],
                        ['cooker' => $cooker, 'cooker_c' => 125, 'until_tender' => true] + ($wrap === null ? [] : ['wrap' => $wrap]),
                    ], ['taste' => 'tender', 'rest_minutes' => 60]);
                }
            }
        }
        foreach (['chicken-breast', 'turkey-breast', 'lamb-leg-boned', 'pork-loin', 'beef-topside', 'salmon-side'] as $id) {
            foreach (['ceramic', 'oven', 'kettle-direct', 'oven-grill'] as $cooker) {
                $files["$id rolled on $cooker"] = self::file(
                    Larder::cut($id),
                    [['cooker' => $cooker, 'pull' => true]],
                    ['form' => 'rolled'],
                );
            }
        }
        foreach (['chicken', 'lamb-leg', 'goat-whole', 'fish-whole', 'beef-steak'] as $id) {
            foreach (['open-spit' => [3, 6, 9], 'open-grate' => [2, 4, 8], 'trench' => [4, 8, 12]] as $cooker => $hands) {
                foreach ($hands as $seconds) {
                    $files["$id on $cooker at a $seconds s hand"] = self::file(
                        Larder::cut($id),
                        [['cooker' => $cooker, 'hand_s' => $seconds, 'pull' => true]],
                    );
                }
            }
        }

        return $files;
    }

    /** @return array<string, array<string, mixed>> over a cooker's fire, beside it and over it again, and the other way round */
    public static function overAndBeside(): array
    {
        $files = [];
        foreach (['chicken-legs', 'chicken-breast', 'duck-breast', 'beef-steak', 'beef-tri-tip', 'fish-whole', 'carrots'] as $id) {
            foreach ([['kettle', 'kettle-direct'], ['gas', 'gas-direct'], ['pellet', 'griddle'], ['oven', 'oven-grill']] as [$beside, $over]) {
                foreach ([[$over, $beside], [$beside, $over]] as [$first, $second]) {
                    $files["$id on $first, on $second and back"] = self::file(Larder::cut($id), [
                        ['cooker' => $first, 'cooker_c' => 200, 'minutes' => 4],
                        ['cooker' => $second, 'cooker_c' => 180, 'minutes' => 6],
                        ['cooker' => $first, 'cooker_c' => 200, 'pull' => true],
                    ]);
                }
            }
        }

        return $files;
    }

    /** @return array<string, array<string, mixed>> inputs at the edge of their range */
    public static function odd(): array
    {
        $files = [];
        foreach (['turkey', 'chicken', 'beef-rib', 'lamb-leg', 'pork-shoulder', 'fish-fillet', 'potatoes'] as $id) {
            $cut = Larder::cut($id);
            foreach (self::cookers() as $cooker) {
                $on = fn (float $celsius): array => [['cooker' => $cooker->id, 'cooker_c' => $celsius, 'pull' => true]];
                $files["$id on $cooker->id at its coolest, in frost"] = self::file(
                    $cut,
                    $on($cooker->leastC),
                    ['start_c' => 0, 'rest_minutes' => 0],
                    ['air_c' => -25, 'wind_ms' => 12],
                );
                $files["$id on $cooker->id at its hottest, on the mountain"] = self::file(
                    $cut,
                    $on($cooker->mostC),
                    ['mass_kg' => $cut->mostMassKg, 'rest_minutes' => 180],
                    ['air_c' => 38, 'altitude_m' => 3500],
                );
                $files["$id on $cooker->id, the smallest, pulled early as asked"] = self::file(
                    $cut,
                    $on($cooker->defaultC),
                    ['mass_kg' => $cut->leastMassKg, 'coast' => true, 'start_c' => 20],
                );
            }
        }

        return $files;
    }

    /** @return list<Cooker> */
    public static function cookers(): array
    {
        return array_values(array_filter(CookerShed::kinds(), fn (Cooker $cooker): bool => ! $cooker->isRest()));
    }

    /**
     * @param  list<array<string, mixed>>  $stages
     * @param  array<string, mixed>  $dish
     * @param  array<string, mixed>  $roast
     * @return array<string, mixed>
     */
    public static function file(Cut $cut, array $stages, array $dish = [], array $roast = []): array
    {
        return $roast + [
            'serve_at' => Samples::SERVE_AT,
            'people' => 6,
            'air_c' => 14,
            'dishes' => [
                $dish + [
                    'cut' => $cut->id, 'mass_kg' => $cut->typicalMassKg, 'start_c' => $cut->kind === 'roots' ? 15 : 5,
                    'taste' => $cut->usualTaste, 'stages' => $stages,
                ],
            ],
        ];
    }

    /** @param  array<string, mixed>  $file */
    public static function refusal(array $file): ?string
    {
        try {
            RoastFile::read($file);

            return null;
        } catch (InvalidInput $wrong) {
            return sayRefusal($wrong);
        }
    }
}
