<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A stored roast: what the cook put in and logged. Everything that can be computed is computed from it.
 *
 * @property string $id
 * @property int $user_id
 * @property string $name
 * @property CarbonImmutable $serve_at
 * @property string $time_zone
 * @property int $people
 * @property float $air_c
 * @property float|null $latitude
 * @property float|null $longitude
 * @property string|null $dark_at
 * @property float $wind_ms
 * @property bool $rain
 * @property float $altitude_m
 * @property list<array<string, mixed>>|null $fires
 * @property array<string, mixed>|null $plan_at_lighting
 * @property string $debrief_note
 * @property CarbonImmutable $created_at
 * @property-read Collection<int, Dish> $dishes
 * @property-read Collection<int, Reading> $readings
 * @property-read Collection<int, Event> $events
 */
final class Roast extends Model
{
    use HasUlids;

    /** What one kitchen, and the log of one roast, may hold: generous, so that no one meets it by cooking. */
    public const MOST_IN_A_KITCHEN = 500;

    public const MOST_READINGS = 12_000;

    public const MOST_EVENTS = 3_000;

    protected $fillable = ['name', 'serve_at', 'time_zone', 'people', 'air_c', 'latitude', 'longitude', 'dark_at', 'wind_ms', 'rain', 'altitude_m', 'fires', 'plan_at_lighting', 'debrief_note'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Dish, $this> */
    public function dishes(): HasMany
    {
        $many = $this->hasMany(Dish::class);
        $many->orderBy('position');

        return $many;
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        $many = $this->hasMany(Reading::class);
        $many->orderBy('at')->orderBy('id');

        return $many;
    }

    /** @return HasMany<Event, $this> */
    public function events(): HasMany
    {
        $many = $this->hasMany(Event::class);
        $many->orderBy('at')->orderBy('id');

        return $many;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['serve_at' => 'immutable_datetime', 'plan_at_lighting' => 'array', 'air_c' => 'float', 'rain' => 'boolean', 'fires' => 'array'];
    }
}
