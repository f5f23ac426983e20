<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RoastRequest;
use App\Http\Resources\RoastAnswer;
use App\Models\Roast;
use App\Roasts\Day;
use App\Roasts\ReadingsCsv;
use App\Roasts\RunSheetCalendar;
use App\Roasts\Told;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Roast files and readings, out and in. */
final class FileController
{
    use AsksItsCook;

    public function export(Roast $roast): Response
    {
        return new Response(
            json_encode(
                $roast->inputs,
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            )."\n",
            headers: [
                'Content-Type' => 'application/json',
                'ETag' => $roast->edition()->tag(),
                'Content-Disposition' => 'attachment; filename="roast-'.$roast->serve_at->format('Y-m-d').'.json"',
            ],
        );
    }

    /** A roast of the past may be imported: it is a record. */
    public function import(RoastRequest $request): JsonResponse
    {
        $cook = self::cook($request);

        return RoastAnswer::keeping($request->roast(begun: true), $cook)->setStatusCode(201);
    }

    public function readings(Roast $roast): Response
    {
        return new Response(ReadingsCsv::write($roast), headers: [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="readings-'.$roast->serve_at->format('Y-m-d').'.csv"',
        ]);
    }

    /** The run sheet for a calendar: each line under an id of its own, so that taking it in again moves what is there. */
    public function calendar(Roast $roast): Response
    {
        $now = CarbonImmutable::now();

        return new Response(RunSheetCalendar::of(
            Day::of(Told::log($roast, $now), $now), Voice::ofTheReader(), $now,
        ), headers: [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="run-sheet-'.$roast->serve_at->format('Y-m-d').'.ics"',
        ]);
    }

    public function importReadings(Request $request, Roast $roast): JsonResponse
    {
        ReadingsCsv::read($request->getContent(), $roast);

        return RoastAnswer::of($roast->refresh()->unsetRelations());
    }
}
