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
use Diatherm\Food\OrderOfWork;
use Diatherm\Food\Preparation;
use Diatherm\Food\Side;
use Diatherm\Measure\Message;
use Diatherm\Roast\Beginning;
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
                'called' => $cut->called,
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
                'preparations' => array_column(array_filter(Preparation::all(), fn (Preparation $one): bool => $one->suits($cut)), 'id'),
                'safe_c' => SafeMinimum::of($cut->safetyClass)->coreC,
                'probe' => $cut->probe,
                'carve' => $cut->carve,
                'measure' => $cut->measure,
                'source' => $cut->source->inWords(),
            ], Larder::cuts())),
            'preparations' => array_values(
                array_map(
                    fn (Preparation $one): array => [
                        'id' => $one->id, 'name' => $one->name, 'how' => $one->how(), 'between' => $one->isBetweenSteps,
                        'hands' => $one->isHandwork, 'minutes' => $one->isHandwork ? $one->handworkMinutes() : null,
                        'before' => OrderOfWork::before($one), 'not_forms' => $one->butForms, 'not_with' => $one->butWith,
                        'mix' => $one->mix?->id, 'source' => $one->source->inWords(),
                    ],
                    Preparation::all(),
                ),
            ),
            'sides' => array_values(
                array_map(
                    fn (Side $side): array => [
                        'id' => $side->id, 'name' => $side->name, 'called' => $side->called, 'how' => $side->how,
                        'least_minutes' => $side->leastMinutes, 'most_minutes' => $side->mostMinutes,
                        'waits_minutes' => $side->waitsMinutes, 'shares' => $side->shares, 'cold' => $side->isCold,
                        'least_c' => $side->leastC, 'most_c' => $side->mostC, 'source' => $side->source->inWords(),
                    ],
                    Side::all(),
                ),
            ),
            'beginnings' => array_values(
                array_map(
                    fn (Beginning $one): array => [
                        'id' => $one->id, 'name' => $one->name, 'called' => $one->called, 'about' => $one->about,
                        'lead_hours' => $one->leadHours, 'people' => $one->people, 'grows' => $one->grows, 'file' => $one->file,
                    ],
                    Beginning::all(),
                ),
            ),
            'forms' => array_values(
                array_map(fn (Form $form): array => ['id' => $form->id, 'name' => $form->name, 'kinds' => $form->kinds, 'work' => $form->work], Larder::forms()),
            ),
            'cookers' => array_values(array_map(fn (Cooker $cooker): array => [
                'id' => $cooker->id,
                'name' => $cooker->name,
                'short' => $cooker->short,
                'default_c' => $cooker->defaultC,
                'least_c' => $cooker->leastC,
                'most_c' => $cooker->mostC,
                'fixed' => Equipment::has($cooker->id) && Equipment::of($cooker->id)->isFixed(),
                'default_hand_s' => $cooker->isOpenFire() ? round(HandTest::secondsOfWall($cooker->defaultC)) : null,
                'lid' => $cooker->lid,
                'rest' => $cooker->isRest(),
                'open' => Equipment::has($cooker->id) && Equipment::of($cooker->id)->isOpen(),
                'note' => Equipment::has($cooker->id) ? Equipment::of($cooker->id)->note() : '',
                'facts' => Equipment::has($cooker->id) ? CookerResource::facts(Equipment::of($cooker->id)) : [],
            ], CookerShed::kinds())),
            'chores' => array_map(fn (string $kind): array => ['id' => $kind, 'name' => Message::of('chore.'.$kind)], Chore::KINDS),
            'places' => array_map(fn (ReadingPlace $place): array => ['id' => $place, 'name' => $place->inWords()], ReadingPlace::cases()),
            'events' => array_map(fn (EventKind $kind): array => ['id' => $kind, 'name' => $kind->inWords()], EventKind::cases()),
        ]))->setCache(['private' => true, 'max_age' => 300]);
    }
}
