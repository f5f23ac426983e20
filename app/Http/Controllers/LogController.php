<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\EventRequest;
use App\Http\Requests\ReadingRequest;
use App\Http\Resources\PlanResource;
use App\Models\Roast;
use App\Roasts\Day;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Readings and events. Each carries an id made by the device that took it: sent twice, it is logged once. */
final class LogController
{
    public function __construct(private readonly RoastController $roasts)
    {
    }

    public function storeReading(ReadingRequest $request, Roast $roast): JsonResponse
    {
        $roast->readings()->firstOrCreate(['client_id' => $request->string('id')->toString()], $request->row());
        $this->touched($roast);

        return $this->roasts->show($roast);
    }

    public function destroyReading(Roast $roast, string $id): JsonResponse
    {
        $roast->readings()->where('client_id', $id)->delete();
        $this->touched($roast);

        return $this->roasts->show($roast);
    }

    public function storeEvent(EventRequest $request, Roast $roast): JsonResponse
    {
        DB::transaction(function () use ($request, $roast): void {
            if ($request->input('kind') === 'on' && $roast->plan_at_lighting === null) {
                $roast->load(['dishes.stages', 'readings', 'events']);
                $roast->plan_at_lighting = PlanResource::atLighting(Day::of($roast, CarbonImmutable::now())->plan);
            }
            $this->touched($roast);
            $roast->events()->firstOrCreate(['client_id' => $request->string('id')->toString()], $request->row());
        });
        $roast->unsetRelations();

        return $this->roasts->show($roast);
    }

    public function destroyEvent(Roast $roast, string $id): JsonResponse
    {
        $roast->events()->where('client_id', $id)->delete();
        if ($roast->events()->where('kind', 'on')->doesntExist()) {
            $roast->plan_at_lighting = null;
        }
        $this->touched($roast);

        return $this->roasts->show($roast);
    }

    /** From here on it is the cook's own, and the demo leaves it alone. */
    private function touched(Roast $roast): void
    {
        $roast->demo_key = null;
        $roast->save();
        $roast->unsetRelations();
    }
}
