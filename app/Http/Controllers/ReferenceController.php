<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\CookerResource;
use App\Models\EventKind;
use App\Models\ReadingPlace;
use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Equipment;
use Diatherm\Fire\HandTest;
use Diatherm\Food\Cut;
use Diatherm\Food\Doneness;
use Diatherm\Food\Form;
use Diatherm\Food\Larder;
use Diatherm\Food\Preparation;
use Diatherm\Roast\Chore;
use Diatherm\Safety\SafeMinimum;
use Illuminate\Http\JsonResponse;

/** What the trade knows: cuts, forms, cookers. It changes only with the program. */
final class ReferenceController
{
    public function __invoke(): JsonResponse
    {
        return (new JsonResponse([
            'cuts' => array_values(array_map(fn (Cut $cut): array => [
                'id' => $cut->id,
                'name' => $cut->name,
                'kind' => $cut->kind,
                'typical_mass_kg' => $cut->typicalMassKg,
                'least_mass_kg' => $cut->leastMassKg,
                'most_mass_kg' => $cut->mostMassKg,
                'tastes' => array_map(
                    fn (Doneness $taste): array => [
                        'id' => $taste->id, 'name' => $taste->name, 'core_c' => $taste->coreC,
                        'source' => $taste->source->inWords(),
                    ],
                    $cut->tastes,
                ),
                'usual_taste' => $cut->usualTaste,
                'per_person_g' => $cut->perPersonG,
                'rest_minutes' => $cut->restMinutes,
                'tough' => $cut->tough,
                'safe_c' => SafeMinimum::of($cut->safetyClass)->coreC,
                'probe' => $cut->probe,
                'carve' => $cut->carve,
                'measure' => $cut->measure,
                'source' => $cut->source->inWords(),
            ], Larder::cuts())),
            'preparations' => array_values(
                array_map(
                    fn (Preparation $one): array => [
                        'id' => $one->id, 'name' => $one->name, 'kinds' => $one->kinds, 'how' => $one->how,
                        'source' => $one->source->inWords(),
                    ],
                    Preparation::all(),
                ),
            ),
            'forms' => array_values(
                array_map(fn (Form $form): array => ['id' => $form->id, 'name' => $form->name, 'kinds' => $form->kinds], Larder::forms()),
            ),
            'cookers' => array_values(array_map(fn (Cooker $cooker): array => [
                'id' => $cooker->id,
                'name' => $cooker->name,
                'short' => $cooker->short,
                'default_c' => $cooker->defaultC,
                'least_c' => $cooker->leastC,
                'most_c' => $cooker->mostC,
                'default_hand_s' => $cooker->isOpenFire() ? round(HandTest::secondsOfWall($cooker->defaultC)) : null,
                'lid' => $cooker->lid,
                'rest' => $cooker->isRest(),
                'open' => Equipment::has($cooker->id) && Equipment::of($cooker->id)->isOpen(),
                'note' => Equipment::has($cooker->id) ? Equipment::of($cooker->id)->note() : '',
                'facts' => Equipment::has($cooker->id) ? CookerResource::facts(Equipment::of($cooker->id)) : [],
            ], CookerShed::kinds())),
            'chores' => self::words(Chore::KINDS),
            'places' => self::words(ReadingPlace::words()),
            'events' => self::words(EventKind::words()),
        ]))->setCache(['private' => true, 'max_age' => 300]);
    }

    /**
     * @param  array<string, string>  $map  id => name
     * @return list<array{id: string, name: string}>
     */
    private static function words(array $map): array
    {
        return array_map(fn (string $id, string $name): array => ['id' => $id, 'name' => $name], array_keys($map), $map);
    }
}
