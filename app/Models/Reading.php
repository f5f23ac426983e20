<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A temperature that was read.
 *
 * @property string $client_id made by the device that took it, so that it can be sent twice
 * @property int $dish position
 * @property CarbonImmutable $at
 * @property ReadingPlace $place
 * @property int $piece of several alike: which one, from 1
 * @property float $celsius
 * @property string|null $device_id  that it came from; null for a hand
 * @property int|null $channel  of its probe
 * @property bool $sure  said to be right though it looks odd
 */
final class Reading extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['client_id', 'dish', 'at', 'place', 'piece', 'celsius', 'sure', 'device_id', 'channel'];

    protected $attributes = ['piece' => 1, 'sure' => false, 'device_id' => null, 'channel' => null];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'sure' => 'boolean', 'channel' => 'integer', 'piece' => 'integer', 'place' => ReadingPlace::class];
    }
}
