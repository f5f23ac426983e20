<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A cooker of a cook's own; roasts call it by its name.
 *
 * @property string $id
 * @property int $user_id
 * @property string $name
 * @property string $kind
 * @property array<string, float> $facts
 * @property int $version of its facts and its log
 * @property-read Collection<int, CookerObservation> $observations
 */
final class Cooker extends Model
{
    use HasUlids;

    public const MOST_IN_A_KITCHEN = 40;

    protected $fillable = ['name', 'kind', 'facts'];

    /** @return HasMany<CookerObservation, $this> */
    public function observations(): HasMany
    {
        $many = $this->hasMany(CookerObservation::class);
        $many->orderBy('at')->orderBy('id');

        return $many;
    }

    /** What the cook said of it, without its log. */
    public function edition(): Edition
    {
        return Edition::of([$this->name, $this->facts]);
    }

    /** Its row, held until the transaction ends. */
    public function held(): self
    {
        /** @var self */
        return self::query()->whereKey($this->id)->lockForUpdate()->firstOrFail();
    }

    /** After a change of its facts or its log: roasts that call it by its name say something else. */
    public function changed(): void
    {
        $this->increment('version');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['facts' => 'array', 'version' => 'integer'];
    }
}
