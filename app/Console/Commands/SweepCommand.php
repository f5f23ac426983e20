<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\DemoKitchen;
use App\Roasts\Remembered;
use Illuminate\Console\Command;

/** Takes away what nobody will ask for again: demo kitchens whose visitors are long gone, and what was worked out and has run out. */
final class SweepCommand extends Command
{
    protected $signature = 'diatherm:sweep';

    protected $description = 'Take away what nobody will ask for again';

    public function handle(): int
    {
        DemoKitchen::sweep();
        Remembered::sweep();

        return self::SUCCESS;
    }
}
