<?php

declare(strict_types=1);

use App\Kitchen\KitchenFile;
use App\Models\Device;
use Diatherm\Measure\InvalidInput;
use Illuminate\Support\Facades\DB;

// A kitchen holds as much as it may and no more, however many add to it at the same moment.

it('lets no more in than there is room for when several files are taken in at once', function () {
    $cook = $this->cook();
    $eight = ['format' => KitchenFile::FORMAT, 'version' => KitchenFile::VERSION, 'devices' => array_map(fn (int $i): array => ['name' => "T$i"], range(1, 8))];
    $children = [];
    foreach (range(1, 4) as $number) {
        $child = pcntl_fork();
        if ($child === 0) {
            // A connection of its own; what the parent has open is the parent's.
            DB::purge();
            try {
                KitchenFile::read($eight, $cook);
                posix_kill(posix_getpid(), SIGKILL);
            } catch (InvalidInput) {
                posix_kill(posix_getpid(), SIGTERM);
            }
        }
        $children[] = $child;
    }
    $ends = [];
    foreach ($children as $child) {
        pcntl_waitpid($child, $status);
        $ends[] = pcntl_wtermsig($status);
    }
    sort($ends);
    DB::purge();
    expect($cook->devices()->count())->toBe(16)->toBeLessThanOrEqual(Device::MOST_IN_A_KITCHEN)
        ->and($ends)->toBe([SIGKILL, SIGKILL, SIGTERM, SIGTERM]);
});
