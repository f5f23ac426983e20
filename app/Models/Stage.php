<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $position
 * @property string $cooker
 * @property float $cooker_c
 * @property string|null $wrap
 * @property string $end
 * @property float|null $value
 * @property list<array<string, mixed>> $chores
 */
final class Stage extends Model
{
    public $timestamps = false;

    protected $guarded = ['id', 'dish_id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['chores' => 'array'];
    }
}
