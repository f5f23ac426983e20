<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $position
 * @property string $name
 * @property string $cut
 * @property string $form
 * @property int $pieces
 * @property float $mass_kg
 * @property float|null $thickness_cm
 * @property float|null $girth_cm
 * @property float $start_c
 * @property string|null $taste
 * @property float|null $target_c
 * @property bool $coast
 * @property float $rest_minutes
 * @property list<string>|null $preparations
 * @property array<string, mixed>|null $rig
 * @property-read Collection<int, Stage> $stages
 */
final class Dish extends Model
{
    public $timestamps = false;

    protected $guarded = ['id', 'roast_id'];

    /** @return HasMany<Stage, $this> */
    public function stages(): HasMany
    {
        $many = $this->hasMany(Stage::class);
        $many->orderBy('position');

        return $many;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['coast' => 'boolean', 'preparations' => 'array', 'rig' => 'array'];
    }
}
