<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\RoastFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A stored roast: what the cook put in and logged. Everything that can be computed is computed from it.
 *
 * @phpstan-type LitDish array{cook_minutes: array{low: float, likely: float, high: float}, pull_c: float, curve: array<string, list<float>>}
 * @phpstan-type LightingRecord array{dishes: list<LitDish>, settings: array<string, array<string, float>>}
 *
 * @property string $id
 * @property int $user_id
 * @property string $name
 * @property CarbonImmutable $serve_at
 * @property string $time_zone
 * @property array<string, mixed> $inputs  the roast file
 * @property LightingRecord|null $lighting
 * @property string $status planned, cooking, resting or done, by the log
 * @property int $version of the inputs and the log
 * @property string|null $hands_key of the link for a second pair of hands, hashed
 * @property string $debrief_note
 * @property CarbonImmutable $created_at
 * @property-read User $user
 * @property-read Collection<int, Reading> $readings
 * @property-read Collection<int, Event> $events
 * @property-read Collection<int, Device> $devices
 */
final class Roast extends Model
{
    /** @use HasFactory<RoastFactory> */
    use HasFactory;

    use HasUlids;

    /** What one kitchen, and the log of one roast, may hold: generous, so that no one meets it by cooking. */
    public const MOST_IN_A_KITCHEN = 500;

    public const MOST_READINGS = 12_000;

    public const MOST_EVENTS = 3_000;

    protected $attributes = ['debrief_note' => '', 'status' => 'planned', 'version' => 1];

    protected $fillable = ['name', 'serve_at', 'time_zone', 'inputs', 'lighting', 'status', 'debrief_note'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** How many dishes were put in, whether they can be worked out or not. */
    public function dishCount(): int
    {
        return count($this->cuts());
    }

    /** How many pieces alike a dish is. */
    public function pieces(int $dish): int
    {
        $file = $this->inputs['dishes'][$dish] ?? null;

        return is_array($file) && is_int($file['pieces'] ?? null) ? $file['pieces'] : 1;
    }

    /** @return list<string> of the dishes that were put in */
    public function cuts(): array
    {
        $dishes = $this->inputs['dishes'] ?? [];

        return is_array($dishes) ? array_values(
            array_map(fn (mixed $dish): string => is_array($dish) && is_string($dish['cut'] ?? null) ? $dish['cut'] : '', $dishes),
        ) : [];
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

    /** @return HasMany<Device, $this> that read for it */
    public function devices(): HasMany
    {
        return $this->hasMany(Device::class);
    }

    /** What the cook put in, without the log. */
    public function edition(): Edition
    {
        return Edition::of([$this->inputs, $this->debrief_note]);
    }

    /** Its row, held until the transaction ends: writes to one log follow one another. */
    public function held(): self
    {
        /** @var self */
        return self::query()->whereKey($this->id)->lockForUpdate()->firstOrFail();
    }

    /** @return Collection<int, Event> its dishes' steps from the fire to the table, in order of time */
    public function steps(): Collection
    {
        /** @var Collection<int, Event> */
        return $this->events()->whereIn('kind', EventKind::steps())->get();
    }

    /** After a change of its log: what it says now is another answer. Within the transaction that holds its row. */
    public function logged(): void
    {
        $events = $this->steps();
        $dishes = fn (EventKind $kind): int => count(array_filter(
            range(0, $this->dishCount() - 1), fn (int $dish): bool => Event::standing($events, $kind, $dish) !== null,
        ));
        $this->status = match (true) {
            $dishes(EventKind::On) === 0 => 'planned',
            $dishes(EventKind::Carved) === $this->dishCount() => 'done',
            $dishes(EventKind::Pulled) === $this->dishCount() => 'resting',
            default => 'cooking',
        };
        $this->version++;
        $this->save();
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['serve_at' => 'immutable_datetime', 'inputs' => 'array', 'lighting' => 'array', 'version' => 'integer'];
    }
}
