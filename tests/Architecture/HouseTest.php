<?php

declare(strict_types=1);

// The core knows no framework, clock, database or randomness that was not handed to it.
arch('the core stands alone')->expect('Diatherm')->not->toUse(['Illuminate', 'App', 'Carbon', 'Symfony', 'Database']);

arch('the core asks neither clock nor chance')->expect('Diatherm')->not->toUse([
    'time', 'microtime', 'date', 'now', 'rand', 'mt_rand', 'random_int', 'random_bytes', 'uniqid', 'env', 'getenv', 'config',
]);

arch('strict types everywhere')->expect(['Diatherm', 'App'])->toUseStrictTypes();

arch('nothing is left behind')->expect(['dd', 'dump', 'var_dump', 'print_r', 'ray'])->not->toBeUsed();

arch('controllers do not compute')->expect('App\Http\Controllers')->not->toUse(
    ['Diatherm\Heat', 'Diatherm\Live', 'Diatherm\Safety\LethalityTable'],
);

/**
 * The rooms of the core from the ground up, each with the rooms that it may use: all of them below it. What is not named is
 * forbidden, and so no circle can be.
 *
 * @return array<string, list<string>>
 */
function rooms(): array
{
    return [
        'Measure' => [],
        'Food' => ['Measure'],
        'Rig' => ['Measure', 'Food'],
        'Fire' => ['Measure', 'Rig'],
        'Heat' => ['Measure', 'Food'],
        'Cooker' => ['Measure', 'Food', 'Rig', 'Fire', 'Heat'],
        'Safety' => ['Measure'],
        'Work' => ['Measure'],
        'Roast' => ['Measure', 'Food', 'Rig', 'Fire', 'Heat', 'Cooker', 'Safety'],
        'Cooking' => ['Measure', 'Food', 'Rig', 'Heat', 'Cooker', 'Safety', 'Roast'],
        'Tending' => ['Measure', 'Food', 'Rig', 'Fire', 'Heat', 'Cooker', 'Safety', 'Roast', 'Cooking'],
        'Day' => ['Measure', 'Work', 'Food', 'Rig', 'Fire', 'Cooker', 'Safety', 'Roast', 'Cooking', 'Tending'],
        'Plan' => ['Measure', 'Food', 'Rig', 'Fire', 'Cooker', 'Safety', 'Roast', 'Cooking', 'Tending', 'Day'],
        'Live' => ['Measure', 'Food', 'Fire', 'Heat', 'Cooker', 'Safety', 'Roast', 'Cooking'],
        'Ways' => ['Measure', 'Food', 'Rig', 'Fire', 'Cooker', 'Safety', 'Roast', 'Cooking', 'Tending', 'Day', 'Plan', 'Live'],
        'Obstacles' => [
            'Measure', 'Food', 'Rig', 'Fire', 'Cooker', 'Safety', 'Roast', 'Cooking', 'Tending', 'Day', 'Plan', 'Ways',
        ],
        'Practice' => ['Measure', 'Fire', 'Heat', 'Cooker', 'Roast', 'Cooking', 'Tending', 'Plan', 'Live'],
    ];
}

/** @return list<string> files of PHP under a folder of the project */
function filesIn(string $folder): array
{
    $files = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__."/../../$folder", FilesystemIterator::SKIP_DOTS)) as $file) {
        if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
            $files[] = $file->getPathname();
        }
    }

    return $files;
}

it('uses exactly the arrows that are named, and none that runs up', function (string $room) {
    $order = array_keys(rooms());
    $used = [];
    foreach (filesIn("core/$room") as $file) {
        preg_match_all(
            '/^use Diatherm\\\\([A-Za-z]+)\\\\|(?<!^use )\\\\Diatherm\\\\([A-Za-z]+)\\\\/m',
            (string) file_get_contents($file),
            $found,
        );
        array_push($used, ...array_filter([...$found[1], ...$found[2]], fn (string $other): bool => $other !== '' && $other !== $room));
    }
    $used = array_values(array_unique($used));
    sort($used);
    $named = rooms()[$room];
    sort($named);
    expect($used)->toBe($named);
    foreach ($named as $other) {
        expect(array_search($other, $order, true))->toBeLessThan((int) array_search($room, $order, true));
    }
})->with(fn () => array_keys(rooms()));

it('has no room that the house does not name', function () {
    $found = array_map('basename', glob(__DIR__.'/../../core/*', GLOB_ONLYDIR) ?: []);
    $named = array_keys(rooms());
    sort($found);
    sort($named);
    expect($found)->toBe($named);
});

// What runs a simulation, however short: a resource maps what a plan holds already, and a reader of files reads.
const SIMULATES = [
    'Diatherm\Cooking\Cook', 'Diatherm\Cooking\Coast', 'Diatherm\Heat\Roasting', 'Diatherm\Tending\Banking::of', 'Diatherm\Tending\FireLayout', 'Diatherm\Tending\FireSimulation',
    'Diatherm\Tending\FirePlanning', 'Diatherm\Tending\LaidFires', 'Diatherm\Live\Weighing', 'Diatherm\Live\LiveForecast::of', 'Diatherm\Fire\BuriedBed', 'Diatherm\Cooker\OwnCurve::of',
    'Diatherm\Cooker\Settling', 'Diatherm\Cooker\Warmth', 'Diatherm\Cooking\Forecast::of', 'Diatherm\Cooking\PartForecast::all', 'Diatherm\Plan\Plan::of', 'Diatherm\Plan\Plan::from',
];

it('computes in no resource and in no reader', function (string $file) {
    $code = (string) file_get_contents($file);
    foreach (SIMULATES as $name) {
        [$class, $call] = explode('::', $name) + [1 => null];
        $short = substr((string) strrchr($class, '\\'), 1);
        $imported = str_contains($code, "use $class;")
            || str_starts_with($class, (string) (preg_match('/^namespace (.*);/m', $code, $of) === 1 ? $of[1] : '').'\\');
        $calls = $call === null ? preg_match("/\\b$short(::|\\()/", $code) === 1 : str_contains($code, "$short::$call(");
        expect($imported && $calls)->toBeFalse("$name in ".basename($file));
    }
})->with(fn () => [...array_map(fn (string $file): array => [$file], filesIn('app/Http/Resources')), ['core/Roast/RoastFile.php'], ['core/Roast/FireFile.php'], ['core/Rig/RigFile.php'], ['core/Cooker/CookerFile.php']]);
