<?php

declare(strict_types=1);

namespace App\Models;

/** Where a temperature is read: in the dish, or of its cooker. */
enum ReadingPlace: string
{
    case Core = 'core';
    case Breast = 'breast';
    case Thigh = 'thigh';
    case ThickEnd = 'thick_end';
    case ThinEnd = 'thin_end';
    case Bone = 'bone';
    case Cooker = 'cooker';

    /** @return array<string, string> id => words */
    public static function words(): array
    {
        return array_combine(array_column(self::cases(), 'value'), array_map(fn (self $place): string => $place->inWords(), self::cases()));
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Core => 'Middle',
            self::Breast => 'Breast',
            self::Thigh => 'Thigh',
            self::ThickEnd => 'Thick end',
            self::ThinEnd => 'Thin end',
            self::Bone => 'By the bone',
            self::Cooker => 'Cooker',
        };
    }
}
