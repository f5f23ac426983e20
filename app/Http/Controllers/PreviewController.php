<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RoastRequest;
use App\Http\Resources\PlanResource;
use App\Roasts\Remembered;
use App\Roasts\Yard;
use Carbon\CarbonImmutable;
use Diatherm\Obstacles\Obstacles;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;
use Diatherm\Tending\LaidFires;
use Illuminate\Http\JsonResponse;

/** Answers while the cook types; stores nothing. */
final class PreviewController
{
    use AsksItsCook;

    public function __invoke(RoastRequest $request): JsonResponse
    {
        $roast = $request->roast();
        $cook = self::cook($request);
        $laid = LaidFires::lay($roast, Yard::for($roast, $cook->id));
        // Dishes that nobody is changing are known already.
        $now = CarbonImmutable::now();
        $plan = Plan::from($laid, Remembered::dishes($laid, keep: false), $now, []);
        $answer = (new PlanResource($plan, obstacles: Obstacles::of($plan, $now)))->toArray();
        /** @var list<array<string, mixed>> $dishes */
        $dishes = $answer['dishes'];
        $answer['dishes'] = array_map(
            fn (array $dish, PlannedDish $planned): array => $dish + ['pictures' => PlanResource::pictures($planned->forecast)],
            $dishes, $plan->dishes,
        );

        return new JsonResponse($answer);
    }
}
