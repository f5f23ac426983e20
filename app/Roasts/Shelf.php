<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Roast;
use App\Models\User;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\Roast as CoreRoast;
use Diatherm\Roast\RoastFile;

/** Takes roasts off the shelf and puts them back: what is stored of one is its file. */
final class Shelf
{
    /** @throws InvalidInput when it cannot be read any more, as after an upgrade */
    public static function take(Roast $stored): CoreRoast
    {
        return RoastFile::read($stored->inputs);
    }

    /** Stores $roast for $cook, in place of $over when given. */
    public static function put(CoreRoast $roast, User $cook, ?Roast $over = null): Roast
    {
        $stored = $over ?? $cook->roasts()->make();
        $stored->fill([
            'name' => $roast->name,
            'serve_at' => CarbonImmutable::instance($roast->serveAt)->utc(),
            'time_zone' => $roast->zone() ?? $roast->serveAt->format('P'),
            'inputs' => RoastFile::write($roast),
        ]);
        $stored->version = ($over->version ?? 0) + 1;
        $stored->save();

        return $stored;
    }
}
