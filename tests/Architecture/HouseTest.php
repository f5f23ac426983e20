<?php

declare(strict_types=1);

// The core knows no framework, clock, database or randomness that was not handed to it.
arch('the core stands alone')->expect('Diatherm')->not->toUse(['Illuminate', 'App', 'Carbon', 'Symfony', 'Database']);

arch('the core asks neither clock nor chance')->expect('Diatherm')->not->toUse(['time', 'microtime', 'date', 'now', 'rand', 'mt_rand', 'random_int', 'random_bytes', 'uniqid', 'env', 'getenv', 'config']);

arch('strict types everywhere')->expect(['Diatherm', 'App'])->toUseStrictTypes();

arch('nothing is left behind')->expect(['dd', 'dump', 'var_dump', 'print_r', 'ray'])->not->toBeUsed();

arch('controllers do not compute')->expect('App\Http\Controllers')->not->toUse(['Diatherm\Heat', 'Diatherm\Live', 'Diatherm\Safety\LethalityTable']);

// Each room rests on those below it; nothing points up.
$rooms = ['Measure', 'Food', 'Rig', 'Fire', 'Heat', 'Cooker', 'Safety', 'Plan', 'Live', 'Practice'];
$above = [
    'Measure' => ['Food', 'Fire', 'Heat', 'Cooker', 'Safety', 'Plan', 'Live'],
    'Food' => ['Rig', 'Heat', 'Cooker', 'Safety', 'Plan', 'Live'],
    'Rig' => ['Fire', 'Heat', 'Cooker', 'Safety', 'Plan', 'Live'],
    'Fire' => ['Heat', 'Cooker', 'Safety', 'Plan', 'Live'],
    'Heat' => ['Cooker', 'Safety', 'Plan', 'Live'],
    'Safety' => ['Cooker', 'Plan', 'Live'],
    'Cooker' => ['Plan', 'Live'],
    'Plan' => ['Live', 'Practice'],
    'Live' => ['Practice'],
];
foreach ($above as $room => $upper) {
    arch("$room does not look up")->expect("Diatherm\\$room")->not->toUse(array_map(fn (string $name): string => "Diatherm\\$name", $upper));
}

it('has no room that the house does not name', function () use ($rooms) {
    $found = array_map('basename', glob(__DIR__.'/../../core/*', GLOB_ONLYDIR) ?: []);
    sort($found);
    sort($rooms);
    expect($found)->toBe($rooms);
});
