<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Demo\DemoKitchen;
use App\Devices\Probe;
use App\Kitchen\KitchenFile;
use App\Models\ReadingPlace;
use App\Models\User;
use Diatherm\Food\Mix;
use Illuminate\Support\Str;

/** The demo kitchen with a thermometer, a mix and a way taken in it: something of everything that can be stored. */
final class FullKitchen
{
    public static function open(): User
    {
        $cook = DemoKitchen::open();
        $supper = $cook->roasts()->where('status', 'cooking')->firstOrFail();
        $now = ['client_id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()];
        $another = fn (): array => ['client_id' => (string) Str::uuid()] + $now;
        $device = $cook->devices()->create(
            ['name' => 'Four probes', 'roast_id' => $supper->id, 'probes' => [new Probe(1, 0, ReadingPlace::Core)]],
        );
        $supper->readings()->create(
            ['place' => 'cooker', 'celsius' => 141.25, 'sure' => true, 'device_id' => $device->id, 'channel' => 1] + $now,
        );
        $supper->events()->create(['dish' => null, 'kind' => 'note', 'note' => "Wind off the water.\nTwo lines."] + $another());
        $supper->events()->create([
            'kind' => 'way',
            'words' => ['id' => 'ways.oven.how', 'values' => []],
            'before' => ['inputs' => $supper->inputs, 'then' => hash('xxh128', 'x'), 'events' => []],
        ] + $another());
        $rub = ['name' => 'Rub', 'kind' => 'rub', 'basis' => 'per_kg', 'items' => [['amount' => 10, 'unit' => 'g', 'what' => 'salt']]];
        $cook->mixes()->create(['name' => 'Rub', 'mix' => Mix::read($rub)->toArray()]);
        $supper->logged();

        return $cook;
    }

    /** @return array<string, mixed> as it is taken along */
    public static function taken(User $cook): array
    {
        return json_decode(json_encode(KitchenFile::write($cook), JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR), true);
    }

    /** @return array<string, mixed> two of its roasts and the rest, made once */
    public static function sample(): array
    {
        static $sample = null;
        if ($sample === null) {
            $sample = self::taken(self::open());
            $sample['roasts'] = array_slice($sample['roasts'], 0, 2);
        }

        return $sample;
    }
}
