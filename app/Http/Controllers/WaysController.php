<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\TakeWayRequest;
use App\Http\Requests\WaysRequest;
use App\Http\Resources\RoastAnswer;
use App\Http\Resources\WaysResource;
use App\Models\Roast;
use App\Roasts\ChangedPlan;
use App\Roasts\Day;
use App\Roasts\Prospect;
use App\Roasts\Told;
use App\Roasts\Yard;
use Carbon\CarbonImmutable;
use Diatherm\Ways\PlannedProspect;
use Diatherm\Ways\Ways;
use Illuminate\Http\JsonResponse;

/** Ways out of what came between, worked out to their end; and the one that was taken. */
final class WaysController
{
    use AsksItsCook;

    /** Of a roast on the ticket. */
    public function planned(WaysRequest $request): JsonResponse
    {
        $roast = $request->roast();
        $cook = self::cook($request);
        $prospect = new PlannedProspect(CarbonImmutable::now(), Yard::for($roast, $cook->id));
        $standing = $prospect->standing($roast, []);

        return new JsonResponse(WaysResource::of(Ways::asItIs($standing), Ways::out($request->question(), $standing, $prospect)));
    }

    /** Of a roast that is kept, with what was logged of it. */
    public function followed(WaysRequest $request, Roast $roast): JsonResponse
    {
        $now = CarbonImmutable::now();
        $day = Day::of(Told::log($roast, $now), $now);
        $standing = Prospect::standingOf($day, $now);
        $offers = Ways::out($request->question(), $standing, new Prospect($roast, $day, $now));
        ChangedPlan::offer($roast, $offers);

        return new JsonResponse(WaysResource::of(Ways::asItIs($standing), $offers));
    }

    public function take(TakeWayRequest $request, Roast $roast): JsonResponse
    {
        ChangedPlan::take($roast, $request->way(), $request->id(), CarbonImmutable::now());

        return RoastAnswer::of($roast);
    }
}
