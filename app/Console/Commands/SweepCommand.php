<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\DemoKitchen;
use Illuminate\Console\Command;

/** Takes away demo kitchens whose visitors are long gone. */
final class SweepCommand extends Command
{
    protected $signature = 'diatherm:sweep';

    protected $description = 'Take away demo kitchens whose visitors are long gone';

    public function handle(): int
    {
        DemoKitchen::sweep();

        return self::SUCCESS;
    }
}
