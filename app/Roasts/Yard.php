<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Cooker;
use App\Models\CookerObservation;
use App\Models\User;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\CookerFile;
use Diatherm\Cooker\Observation;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Roast\Roast as CoreRoast;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Between stored cookers and the core's, by way of the cooker file. */
final class Yard
{
    /**
     * The cooks' own cookers that a roast calls by name.
     *
     * @return array<string, OwnCooker> by name
     */
    public static function for(CoreRoast $roast, int $cookId): array
    {
        $names = array_values(array_filter(array_column($roast->fires, 'own')));
        $yard = [];
        if ($names !== []) {
            /** @var list<Cooker> $found */
            $found = Cooker::query()->with('observations')->where('user_id', $cookId)->whereIn('name', $names)->get()->all();
            foreach ($found as $stored) {
                $yard[$stored->name] = self::take($stored);
            }
        }

        return $yard;
    }

    /** @return array<string, string> for each of the cook's own cookers, by name, what changes with it */
    public static function versions(int $cookId): array
    {
        $versions = [];
        /** @var list<Cooker> $cookers */
        $cookers = Cooker::query()->where('user_id', $cookId)->get(['id', 'name', 'version'])->all();
        foreach ($cookers as $cooker) {
            $versions[$cooker->name] = "$cooker->id.$cooker->version";
        }

        return $versions;
    }

    public static function take(Cooker $stored): OwnCooker
    {
        return CookerFile::read(self::file($stored));
    }

    /** @return array<string, mixed> the cooker file */
    public static function file(Cooker $stored): array
    {
        return [
            'format' => CookerFile::FORMAT,
            'version' => CookerFile::VERSION,
            'name' => $stored->name,
            'kind' => $stored->kind,
            'facts' => $stored->facts,
            'observations' => array_values($stored->observations->map(fn (CookerObservation $one): array => array_filter([
                'at' => $one->at?->toAtomString(),
                'settings' => $one->settings,
                'air_c' => $one->air_c,
                'wind_ms' => $one->wind_ms,
                'rain' => $one->rain,
                'altitude_m' => $one->altitude_m,
                'celsius' => $one->celsius,
                'phase' => $one->phase,
                'minutes' => $one->minutes,
            ], fn (mixed $value): bool => $value !== null))->all()),
        ];
    }

    /** Stores a cooker with its log for $cook; all or nothing. */
    public static function put(OwnCooker $cooker, User $cook): Cooker
    {
        return DB::transaction(function () use ($cooker, $cook): Cooker {
            $stored = $cook->cookers()->create(
                ['name' => $cooker->name, 'kind' => $cooker->equipment->kind->id, 'facts' => $cooker->equipment->facts],
            );
            foreach ($cooker->observations as $observation) {
                $stored->observations()->create(['client_id' => (string) Str::uuid()] + self::row($observation));
            }

            return $stored;
        });
    }

    /** @return array<string, mixed> */
    public static function row(Observation $one): array
    {
        return ['at' => $one->at === null ? null : CarbonImmutable::instance($one->at)->utc()] + CookerFile::writeObservation($one);
    }
}
