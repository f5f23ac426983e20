<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One reading of a cooker with how it was set.
 *
 * @property string $client_id made by the device that took it, so that it can be sent twice
 * @property CarbonImmutable|null $at
 * @property array<string, float> $settings
 * @property float $air_c
 * @property float $wind_ms
 * @property bool $rain
 * @property float $altitude_m
 * @property float $celsius
 * @property string $phase
 * @property float $minutes
 */
final class CookerObservation extends Model
{
    public $timestamps = false;

    protected $fillable = ['client_id', 'at', 'settings', 'air_c', 'wind_ms', 'rain', 'altitude_m', 'celsius', 'phase', 'minutes'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'settings' => 'array', 'rain' => 'boolean'];
    }
}
