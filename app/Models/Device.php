<?php

declare(strict_types=1);

namespace App\Models;

use App\Devices\Heard;
use App\Devices\Probe;
use Carbon\CarbonImmutable;
use Database\Factories\DeviceFactory;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;

/**
 * A thermometer that sends what its probes read. It signs in by a token of its own, which opens nothing but that.
 *
 * @property string $id
 * @property int $user_id
 * @property string $name
 * @property string|null $roast_id that it reads for
 * @property list<Probe> $probes  where each was put
 * @property array<int, Heard> $heard  what each probe said last, by channel
 * @property CarbonImmutable|null $heard_at
 * @property int|null $battery percent
 * @property int|null $signal percent
 * @property-read User $user
 * @property-read Roast|null $roast
 */
final class Device extends Authenticatable
{
    use HasApiTokens;

    /** @use HasFactory<DeviceFactory> */
    use HasFactory;

    use HasUlids;

    public const MOST_IN_A_KITCHEN = 20;

    protected $fillable = ['name', 'roast_id', 'probes', 'heard', 'heard_at', 'battery', 'signal'];

    protected $attributes = ['roast_id' => null, 'probes' => '[]', 'heard' => '{}', 'heard_at' => null, 'battery' => null, 'signal' => null];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Roast, $this> */
    public function roast(): BelongsTo
    {
        return $this->belongsTo(Roast::class);
    }

    /** What the cook said of it, without what it sent. */
    public function edition(): Edition
    {
        return Edition::of([$this->name, $this->roast_id, array_map(fn (Probe $probe): array => $probe->toArray(), $this->probes)]);
    }

    /** Its row, held until the transaction ends. */
    public function held(): self
    {
        /** @var self */
        return self::query()->whereKey($this->id)->lockForUpdate()->firstOrFail();
    }

    /** The dish and the place of one of its probes; null for one that nobody has put anywhere. */
    public function probe(int $channel): ?Probe
    {
        foreach ($this->probes as $probe) {
            if ($probe->channel === $channel) {
                return $probe;
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    protected function casts(): array
    {
        return ['probes' => Probe::class, 'heard' => Heard::class, 'heard_at' => 'immutable_datetime', 'battery' => 'integer', 'signal' => 'integer'];
    }
}
