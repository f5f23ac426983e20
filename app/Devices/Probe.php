<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\ReadingPlace;
use Illuminate\Contracts\Database\Eloquent\Castable;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/** Where one probe of a thermometer was put: in a dish, or on its cooker. */
final readonly class Probe implements Castable
{
    public const MOST_CHANNELS = 8;

    /**
     * @param  int  $channel  from 1
     * @param  int  $dish  number of the dish
     * @param  int  $piece  of several alike: which one, from 1
     */
    public function __construct(
        public int $channel,
        public int $dish,
        public ReadingPlace $place,
        public int $piece = 1,
    ) {
    }

    /** @return array{channel: int, dish: int, place: ReadingPlace, piece: int} */
    public function toArray(): array
    {
        return ['channel' => $this->channel, 'dish' => $this->dish, 'place' => $this->place, 'piece' => $this->piece];
    }

    /**
     * @param  array<array-key, mixed>  $arguments
     * @return CastsAttributes<list<self>, list<self>>
     */
    public static function castUsing(array $arguments): CastsAttributes
    {
        return new class implements CastsAttributes
        {
            /** @return list<Probe> */
            public function get(Model $model, string $key, mixed $value, array $attributes): array
            {
                /** @var list<array{channel: int, dish: int, place: string, piece?: int}> $rows */
                $rows = json_decode((string) $value, true, 4, JSON_THROW_ON_ERROR);

                return array_map(
                    fn (array $row): Probe => new Probe($row['channel'], $row['dish'], ReadingPlace::from($row['place']), $row['piece'] ?? 1),
                    $rows,
                );
            }

            public function set(Model $model, string $key, mixed $value, array $attributes): string
            {
                /** @var list<Probe> $value */
                return json_encode(array_map(fn (Probe $probe): array => $probe->toArray(), $value), JSON_THROW_ON_ERROR);
            }
        };
    }
}
