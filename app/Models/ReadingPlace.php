<?php

declare(strict_types=1);

namespace App\Models;

use Diatherm\Live\Spot;
use Diatherm\Measure\Message;

/** Where a temperature is read: in the dish, or of its cooker. */
enum ReadingPlace: string
{
    case Core = 'core';
    case Breast = 'breast';
    case Thigh = 'thigh';
    case ThickEnd = 'thick_end';
    case ThinEnd = 'thin_end';
    case Bone = 'bone';
    case Leg = 'leg';
    case Shoulder = 'shoulder';
    case Saddle = 'saddle';
    case Filling = 'filling';
    case Cooker = 'cooker';

    /** @param  int  $pieces  how many there are of the dish */
    public function inWords(int $piece = 1, int $pieces = 1): Message
    {
        return Spot::words($this->value, $piece, $this === self::Cooker ? 1 : $pieces);
    }
}
