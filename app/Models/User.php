<?php

declare(strict_types=1);

namespace App\Models;

use App\Mail\Letters;
use Closure;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\DB;

/**
 * A cook with a kitchen of their own.
 *
 * @method static self create(array<string, mixed> $attributes)
 * @method static self firstOrCreate(array<string, mixed> $attributes, array<string, mixed> $values = [])
 * @method static \Illuminate\Database\Eloquent\Builder<self> where(string $column, mixed $value)
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property string $temperature_unit c or f
 * @property string $mass_unit kg or lb
 * @property int $clock_hours 24 or 12
 * @property \Carbon\CarbonImmutable|null $email_verified_at when the address was confirmed
 * @property \Carbon\CarbonImmutable|null $demo_until  a visitor's kitchen, swept up after this
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $fillable = ['name', 'email', 'password', 'temperature_unit', 'mass_unit', 'clock_hours', 'demo_until'];

    protected $attributes = [
        'temperature_unit' => 'c', 'mass_unit' => 'kg', 'clock_hours' => 24, 'demo_until' => null, 'email_verified_at' => null,
    ];

    protected $hidden = ['password'];

    /** No cookie but the session's signs anyone in. */
    protected $rememberTokenName = '';

    /** @return HasMany<Roast, $this> */
    public function roasts(): HasMany
    {
        return $this->hasMany(Roast::class);
    }

    /** @return HasMany<Mix, $this> */
    public function mixes(): HasMany
    {
        return $this->hasMany(Mix::class);
    }

    /** @return HasMany<OwnSide, $this> */
    public function sides(): HasMany
    {
        return $this->hasMany(OwnSide::class);
    }

    /** @return HasMany<Device, $this> */
    public function devices(): HasMany
    {
        return $this->hasMany(Device::class);
    }

    /** @return HasMany<Cooker, $this> */
    public function cookers(): HasMany
    {
        return $this->hasMany(Cooker::class);
    }

    /**
     * Adds something to the kitchen. Who counts what is there is alone with it until it is added, so that it never holds more than it may.
     *
     * @template T
     *
     * @param  Closure(): T  $add
     * @return T
     */
    public function adding(Closure $add): mixed
    {
        return DB::transaction(function () use ($add): mixed {
            self::query()->whereKey($this->id)->lockForUpdate()->value('id');

            return $add();
        });
    }

    /** @param  string  $token */
    public function sendPasswordResetNotification($token): void
    {
        Letters::reset($this, $token);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'clock_hours' => 'integer', 'demo_until' => 'immutable_datetime', 'email_verified_at' => 'immutable_datetime',
        ];
    }

    /** Told to this cook's own screens, so that they know whose they are. */
    public function mark(): string
    {
        return hash('xxh64', 'cook '.$this->id);
    }
}
