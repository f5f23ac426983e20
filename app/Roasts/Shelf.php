<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Dish;
use App\Models\Roast;
use App\Models\Stage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\CookerShed;
use Diatherm\Fire\HandTest;
use Diatherm\Roast\Roast as CoreRoast;
use Diatherm\Roast\RoastFile;
use Diatherm\Roast\Stage as Step;
use Diatherm\Roast\StageEnd;
use Illuminate\Support\Facades\DB;

/** Takes roasts off the shelf and puts them back: between stored rows and the core's roast, by way of the roast file. */
final class Shelf
{
    public static function take(Roast $stored): CoreRoast
    {
        return RoastFile::read(self::file($stored));
    }

    /** @return array<string, mixed> the roast file */
    public static function file(Roast $stored): array
    {
        return [
            'format' => RoastFile::FORMAT,
            'version' => RoastFile::VERSION,
            'name' => $stored->name,
            'serve_at' => $stored->serve_at->setTimezone($stored->time_zone)->format(\DateTimeInterface::ATOM),
            ...(str_contains($stored->time_zone, ':') ? [] : ['time_zone' => $stored->time_zone]),
            'people' => $stored->people,
            'air_c' => $stored->air_c,
            ...($stored->latitude === null ? [] : ['latitude' => $stored->latitude, 'longitude' => $stored->longitude]),
            ...($stored->dark_at === null ? [] : ['dark_at' => $stored->dark_at]),
            'wind_ms' => $stored->wind_ms,
            'rain' => $stored->rain,
            'altitude_m' => $stored->altitude_m,
            'fires' => $stored->fires ?? [],
            'dishes' => array_values($stored->dishes->map(self::dish(...))->all()),
        ];
    }

    /** Stores $roast for $cook, in place of $over when given; all or nothing. */
    public static function put(CoreRoast $roast, User $cook, ?Roast $over = null): Roast
    {
        return DB::transaction(function () use ($roast, $cook, $over): Roast {
            $file = RoastFile::write($roast);
            $stored = $over ?? $cook->roasts()->make();
            $stored->fill([
                'name' => $roast->name,
                'serve_at' => CarbonImmutable::instance($roast->serveAt)->utc(),
                'time_zone' => $roast->zone() ?? $roast->serveAt->format('P'),
                'people' => $roast->people,
                'air_c' => $roast->airC,
                'latitude' => $roast->place?->latitude,
                'longitude' => $roast->place?->longitude,
                'dark_at' => $roast->darkAt,
                'wind_ms' => $roast->windMs,
                'rain' => $roast->rain,
                'altitude_m' => $roast->altitudeM,
                'fires' => $file['fires'],
            ])->save();
            $stored->dishes()->delete();
            /** @var list<array{stages: list<array<string, mixed>>}> $dishes */
            $dishes = $file['dishes'];
            foreach ($dishes as $i => $dish) {
                $stages = $dish['stages'];
                unset($dish['stages']);
                $row = new Dish(['position' => $i] + $dish);
                $stored->dishes()->save($row);
                foreach ($stages as $j => $stage) {
                    $row->stages()->save(new Stage(self::stageRow($j, $stage)));
                }
            }

            return $stored->unsetRelations();
        });
    }

    /** @return array<string, mixed> */
    private static function dish(Dish $dish): array
    {
        $row = [];
        foreach (['name', 'cut', 'form', 'pieces', 'mass_kg', 'thickness_cm', 'girth_cm', 'start_c', 'taste', 'target_c', 'coast', 'rest_minutes', 'preparations', 'rig'] as $key) {
            $value = $dish->getAttribute($key);
            if ($value !== null) {
                $row[$key] = $value;
            }
        }
        $row['stages'] = array_values($dish->stages->map(fn (Stage $stage): array => [
            'cooker' => $stage->cooker,
            ...self::heat($stage),
            $stage->end => $stage->value ?? true,
            'chores' => $stage->chores,
            ...($stage->wrap === null ? [] : ['wrap' => $stage->wrap]),
        ])->all());

        return $row;
    }

    /** @return array<string, float> as a file has it; degrees where the kind of cooker is not known */
    private static function heat(Stage $stage): array
    {
        $kind = CookerShed::kinds()[$stage->cooker] ?? null;

        return $kind === null ? ['cooker_c' => $stage->cooker_c] : Step::heatInFile($kind, $stage->cooker_c);
    }

    /**
     * @param  array<string, mixed>  $stage
     * @return array<string, mixed>
     */
    private static function stageRow(int $position, array $stage): array
    {
        foreach (StageEnd::cases() as $end) {
            if (isset($stage[$end->value])) {
                return [
                    'position' => $position,
                    'cooker' => $stage['cooker'],
                    'cooker_c' => $stage['cooker_c'] ?? HandTest::wallC($stage['hand_s']),
                    'end' => $end->value,
                    'value' => in_array($end, [StageEnd::Pull, StageEnd::Tender], true) ? null : $stage[$end->value],
                    'chores' => $stage['chores'],
                    'wrap' => $stage['wrap'] ?? null,
                ];
            }
        }
        throw new \LogicException('A stage without an end.');
    }
}
