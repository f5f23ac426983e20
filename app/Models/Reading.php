<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A temperature that was read.
 *
 * @property string $client_id made by the device that took it, so that it can be sent twice
 * @property int $dish position
 * @property CarbonImmutable $at
 * @property string $place a place in the dish, or “cooker”
 * @property float $celsius
 * @property bool $sure  said to be right though it looks odd
 */
final class Reading extends Model
{
    public const COOKER = 'cooker';

    /** id => words */
    public const PLACES = [
        'core' => 'Middle',
        'breast' => 'Breast',
        'thigh' => 'Thigh',
        'thick_end' => 'Thick end',
        'thin_end' => 'Thin end',
        'bone' => 'By the bone',
        self::COOKER => 'Cooker',
    ];

    public const UPDATED_AT = null;

    protected $fillable = ['client_id', 'dish', 'at', 'place', 'celsius', 'sure'];

    protected $attributes = ['sure' => false];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'sure' => 'boolean'];
    }
}
