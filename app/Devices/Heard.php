<?php

declare(strict_types=1);

namespace App\Devices;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\Database\Eloquent\Castable;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/** What a probe said last, and what was kept of it last. */
final readonly class Heard implements Castable
{
    /**
     * @param  float|null  $celsius  null where the probe is not plugged in, or broken
     * @param  float|null  $keptC  that was written into the log last, at $keptAt
     */
    public function __construct(
        public ?float $celsius,
        public CarbonImmutable $at,
        public ?float $keptC = null,
        public ?CarbonImmutable $keptAt = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $arguments
     * @return CastsAttributes<array<int, self>, array<int, self>>
     */
    public static function castUsing(array $arguments): CastsAttributes
    {
        return new class implements CastsAttributes
        {
            /** @return array<int, Heard> */
            public function get(Model $model, string $key, mixed $value, array $attributes): array
            {
                /** @var array<int, array{celsius: float|null, at: string, kept_c: float|null, kept_at: string|null}> $rows */
                $rows = json_decode((string) $value, true, 4, JSON_THROW_ON_ERROR);

                return array_map(fn (array $row): Heard => new Heard(
                    $row['celsius'] === null ? null : (float) $row['celsius'],
                    CarbonImmutable::parse($row['at']),
                    $row['kept_c'] === null ? null : (float) $row['kept_c'],
                    $row['kept_at'] === null ? null : CarbonImmutable::parse($row['kept_at']),
                ), $rows);
            }

            public function set(Model $model, string $key, mixed $value, array $attributes): string
            {
                /** @var array<int, Heard> $value */
                return json_encode((object) array_map(fn (Heard $heard): array => [
                    'celsius' => $heard->celsius, 'at' => $heard->at->toIso8601ZuluString('millisecond'),
                    'kept_c' => $heard->keptC, 'kept_at' => $heard->keptAt?->toIso8601ZuluString('millisecond'),
                ], $value), JSON_THROW_ON_ERROR);
            }
        };
    }
}
