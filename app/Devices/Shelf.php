<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Roast;
use App\Models\User;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Support\Facades\DB;

/** The cook's thermometers: added, moved from one roast to the next, and taken away. What a roast says of them changes with it. */
final class Shelf
{
    /**
     * Refused when the kitchen has as many as it may.
     *
     * @param  list<Probe>  $probes
     */
    public static function add(User $cook, string $name, ?Roast $roast, array $probes): Device
    {
        return $cook->adding(function () use ($cook, $name, $roast, $probes): Device {
            if ($cook->devices()->count() >= Device::MOST_IN_A_KITCHEN) {
                throw InvalidInput::atField('name', Message::of('devices.a_kitchen_keeps_up', most: Device::MOST_IN_A_KITCHEN));
            }
            $device = $cook->devices()->create(['name' => $name, 'roast_id' => $roast?->id, 'probes' => $probes]);
            self::told($roast);

            return $device;
        });
    }

    /** @param  list<Probe>  $probes */
    public static function change(Device $device, string $name, ?Roast $roast, array $probes): void
    {
        DB::transaction(function () use ($device, $name, $roast, $probes): void {
            $before = $device->roast;
            $heard = [];
            foreach ($device->heard as $channel => $last) {
                $probe = array_values(array_filter($probes, fn (Probe $one): bool => $one->channel === $channel))[0] ?? null;
                // What was kept of it elsewhere says nothing of what it shows here.
                $isHere = $device->roast_id === $roast?->id && $device->probe($channel) == $probe;
                $heard[$channel] = $isHere ? $last : new Heard($last->celsius, $last->at);
            }
            $device->fill(['name' => $name, 'roast_id' => $roast?->id, 'probes' => $roast === null ? [] : $probes, 'heard' => $heard]);
            $device->save();
            self::told($roast);
            if ($before !== null && $before->id !== $roast?->id) {
                self::told($before);
            }
        });
        $device->unsetRelations();
    }

    public static function remove(Device $device): void
    {
        DB::transaction(function () use ($device): void {
            $device->tokens()->delete();
            $device->delete();
            self::told($device->roast);
        });
    }

    /** @return string a token that it signs in with; one that it had is no longer good */
    public static function token(Device $device): string
    {
        $device->tokens()->delete();

        return $device->createToken($device->name, ['readings'])->plainTextToken;
    }

    private static function told(?Roast $roast): void
    {
        $roast?->held()->logged();
    }
}
