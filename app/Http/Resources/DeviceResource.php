<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Devices\Heard;
use App\Devices\Probe;
use App\Models\Device;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A thermometer, where its probes are and what they said last.
 *
 * @property-read Device $resource
 */
final class DeviceResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $device = $this->resource;

        return [
            'id' => $device->id,
            'edition' => $device->edition()->mark,
            'name' => $device->name,
            'roast' => $device->roast_id,
            'battery' => $device->battery,
            'signal' => $device->signal,
            'heard_at' => $device->heard_at?->toIso8601ZuluString('millisecond'),
            'probes' => array_map(fn (Probe $probe): array => $probe->toArray() + [
                'place_words' => $probe->place->inWords($probe->piece, $device->roast?->pieces($probe->dish) ?? 1),
            ], $device->probes),
            'heard' => array_map(fn (int $channel, Heard $heard): array => [
                'channel' => $channel, 'celsius' => $heard->celsius, 'at' => $heard->at->toIso8601ZuluString('millisecond'),
            ], array_keys($device->heard), array_values($device->heard)),
        ];
    }
}
