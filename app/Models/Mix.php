<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A mix of the cook's own, as in the mix file.
 *
 * @property string $id
 * @property int $user_id
 * @property string $name
 * @property array<string, mixed> $mix
 */
final class Mix extends Model
{
    use HasUlids;

    public const MOST_IN_A_KITCHEN = 200;

    protected $fillable = ['name', 'mix'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['mix' => 'array'];
    }
}
