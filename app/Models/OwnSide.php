<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A side of the cook's own, as in the side file.
 *
 * @property string $id
 * @property int $user_id
 * @property string $name
 * @property array<string, mixed> $side
 */
final class OwnSide extends Model
{
    use HasUlids;

    public const MOST_IN_A_KITCHEN = 200;

    protected $fillable = ['name', 'side'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['side' => 'array'];
    }
}
