<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Reading;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/**
 * What a thermometer sent at once: heard, and as much of it written into the log as tells something. Sent twice, it is written once.
 */
final class Post
{
    /** A core moves by less than anyone reads in this time: in between, only what jumps is written. Common practice. */
    private const EVERY_S = 60.0;

    private const JUMP_K = 3.0;

    /** No probe in food or over a fire shows less or more; a broken one does. */
    private const LEAST_C = -30.0;

    private const MOST_IN_MEAT_C = 400.0;

    private const MOST_IN_A_COOKER_C = 700.0;

    /** Ids for readings that have none are made from the reading. */
    private const NAMESPACE = '0c9d9f5e-52b1-5c35-8a86-5a6c0e6d2f41';

    /** A battery that is told of as it falls below. */
    private const LOW_BATTERY = 20;

    /**
     * @param  list<array{id: string|null, channel: int, celsius: float|null, at: CarbonImmutable}>  $readings
     * @return array{kept: int, passed_over: int, unplaced: int, unplugged: int} how many of each
     */
    public static function take(Device $device, array $readings, ?int $battery, ?int $signal): array
    {
        usort($readings, fn (array $a, array $b): int => $a['at'] <=> $b['at']);

        return DB::transaction(function () use ($device, $readings, $battery, $signal): array {
            // The roast first, as every other writer of its log does; then the device, whose memory of what was kept is the thinning.
            $roast = $device->roast?->held();
            /** @var Device $row */
            $row = Device::query()->whereKey($device->id)->lockForUpdate()->firstOrFail();
            $counts = ['kept' => 0, 'passed_over' => 0, 'unplaced' => 0, 'unplugged' => 0];
            $heard = $row->heard;
            $changed = false;
            $room = $roast === null ? 0 : Roast::MOST_READINGS - $roast->readings()->count();
            foreach ($readings as $reading) {
                $probe = $roast === null || $row->roast_id !== $roast->id ? null : $row->probe($reading['channel']);
                $celsius = self::sound($reading['celsius'], $probe);
                $before = $heard[$reading['channel']] ?? null;
                $counts[$celsius === null ? 'unplugged' : ($probe === null ? 'unplaced' : 'passed_over')]++;
                $isNewest = $before === null || $reading['at'] >= $before->at;
                $changed = $changed || ($isNewest && ($celsius === null) !== ($before?->celsius === null));
                $keeps = $roast !== null && $probe !== null && $celsius !== null && $counts['kept'] < $room
                    && self::tells($before, $celsius, $reading['at']);
                if ($keeps && self::write($roast, $row, $probe, $reading, $celsius)) {
                    $counts['kept']++;
                    $counts['passed_over']--;
                    $before = new Heard($before?->celsius, $before->at ?? $reading['at'], $celsius, $reading['at']);
                }
                $heard[$reading['channel']] = $isNewest
                    ? new Heard($celsius, $reading['at'], $before?->keptC, $before?->keptAt)
                    : $before;
            }
            $changed = $changed || self::isLow($battery) !== self::isLow($row->battery);
            $row->fill([
                'heard' => $heard, 'heard_at' => CarbonImmutable::now(),
                'battery' => $battery ?? $row->battery, 'signal' => $signal ?? $row->signal,
            ]);
            $row->save();
            if ($roast !== null && ($counts['kept'] > 0 || $changed)) {
                $roast->logged();
            }

            return $counts;
        }, 5);
    }

    public static function isLow(?int $battery): bool
    {
        return $battery !== null && $battery < self::LOW_BATTERY;
    }

    /** What is no temperature of that place is that of a broken or unplugged probe. */
    private static function sound(?float $celsius, ?Probe $probe): ?float
    {
        $most = $probe === null || $probe->place->value === 'cooker' ? self::MOST_IN_A_COOKER_C : self::MOST_IN_MEAT_C;

        return $celsius !== null && $celsius >= self::LEAST_C && $celsius <= $most ? $celsius : null;
    }

    private static function tells(?Heard $before, float $celsius, CarbonImmutable $at): bool
    {
        return $before === null || $before->keptAt === null || abs($before->keptAt->diffInSeconds($at)) >= self::EVERY_S - 1.0
            || abs($celsius - (float) $before->keptC) >= self::JUMP_K;
    }

    /**
     * @param  array{id: string|null, channel: int, celsius: float|null, at: CarbonImmutable}  $reading
     * @return bool false where it is there already
     */
    private static function write(Roast $roast, Device $device, Probe $probe, array $reading, float $celsius): bool
    {
        $id = $reading['id'] ?? self::idOf($device, $reading['channel'], $reading['at']);
        if ($roast->readings()->where('client_id', $id)->exists()) {
            return false;
        }
        $row = new Reading([
            'client_id' => $id, 'dish' => $probe->dish, 'at' => $reading['at'], 'place' => $probe->place, 'piece' => $probe->piece,
            'celsius' => $celsius,
            'device_id' => $device->id, 'channel' => $reading['channel'],
        ]);
        $roast->readings()->save($row);

        return true;
    }

    private static function idOf(Device $device, int $channel, CarbonImmutable $at): string
    {
        return Uuid::uuid5(self::NAMESPACE, "$device->id $channel {$at->getPreciseTimestamp(3)}")->toString();
    }
}
