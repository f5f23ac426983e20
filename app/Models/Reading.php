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
 * @property ReadingPlace $place
 * @property float $celsius
 * @property bool $sure  said to be right though it looks odd
 */
final class Reading extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['client_id', 'dish', 'at', 'place', 'celsius', 'sure'];

    protected $attributes = ['sure' => false];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'sure' => 'boolean', 'place' => ReadingPlace::class];
    }
}
