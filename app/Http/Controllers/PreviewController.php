<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RoastRequest;
use App\Http\Resources\PlanResource;
use App\Models\User;
use App\Roasts\Yard;
use Carbon\CarbonImmutable;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;
use Illuminate\Http\JsonResponse;

/** Answers while the cook types; stores nothing. */
final class PreviewController
{
    public function __invoke(RoastRequest $request): JsonResponse
    {
        $roast = $request->roast();
        /** @var User $cook */
        $cook = $request->user();
        $plan = Plan::of($roast, CarbonImmutable::now(), [], Yard::for($roast, $cook->id));
        $answer = (new PlanResource($plan))->toArray();
        /** @var list<array<string, mixed>> $dishes */
        $dishes = $answer['dishes'];
        $answer['dishes'] = array_map(
            fn (array $dish, PlannedDish $planned): array => $dish + ['pictures' => PlanResource::pictures($planned->forecast)],
            $dishes, $plan->dishes,
        );

        return new JsonResponse($answer);
    }
}
