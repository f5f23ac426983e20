<?php

declare(strict_types=1);

use App\Models\Roast;
use App\Models\User;
use Carbon\CarbonImmutable;
use Diatherm\Plan\Plan;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// Answers speak in messages: what is text in them is what someone typed, or what a row of data/ is called.

/** @return array<string, true> every text of the tables, in lower case */
function tableTexts(): array
{
    static $texts = [];
    if ($texts === []) {
        foreach (glob(dirname(__DIR__, 2).'/data/*.json') ?: [] as $file) {
            $rows = json_decode((string) file_get_contents($file), true);
            array_walk_recursive($rows, function (mixed $value) use (&$texts): void {
                if (is_string($value)) {
                    $texts[rtrim(mb_strtolower($value), '.')] = true;
                }
            });
        }
    }

    return $texts;
}

/**
 * @param  array<string, true>  $typed  in lower case
 * @return list<string> texts of an answer that come from nowhere
 */
function strayTexts(mixed $answer, array $typed): array
{
    $stray = [];
    $look = function (mixed $value, string $path) use (&$look, &$stray, $typed): void {
        if (is_array($value)) {
            foreach ($value as $key => $inner) {
                $look($inner, "$path.$key");
            }
        } elseif (is_string($value) && preg_match('/\pL{2,}[,:.;]? \pL/u', $value) === 1) {
            $plain = rtrim(mb_strtolower($value), '.');
            if (! isset(tableTexts()[$plain]) && ! isset($typed[$plain]) && ! str_ends_with($path, '.citation')) {
                $stray[] = "$path: $value";
            }
        }
    };
    $look($answer, '');

    return $stray;
}

it('leaves no sentence outside the file in any plan', function () {
    $stray = [];
    foreach (Matrix::sample(61) as $file) {
        $typed = [];
        array_walk_recursive($file, function (mixed $value) use (&$typed): void {
            if (is_string($value)) {
                $typed[mb_strtolower($value)] = true;
            }
        });
        try {
            $plan = Plan::of(Diatherm\Roast\RoastFile::read($file), new DateTimeImmutable('2031-10-01T09:00:00Z'));
        } catch (Diatherm\Measure\InvalidInput) {
            continue;
        }
        $json = json_decode((string) json_encode((new App\Http\Resources\PlanResource($plan))->toArray()), true);
        array_push($stray, ...strayTexts($json, $typed));
    }
    expect(array_values(array_unique($stray)))->toBe([]);
});

it('leaves none in what is said of a fire that burns, a cook that is read, a debrief, cookers, mixes and the reference', function () {
    $typed = ['ducks at the weir' => true, 'weir kettle' => true];
    $roast = $this->roast(['cut' => 'duck', 'mass_kg' => 2.2, 'taste' => 'done', 'name' => 'Ducks at the weir']);
    $this->log($roast, 'on', 100);
    foreach ([[40.0, 90], [30.0, 60], [44.0, 50], [58.0, 30]] as [$celsius, $ago]) {
        $this->read($roast, $celsius, $ago);
    }
    $this->read($roast, 120.0, 20, ['place' => 'cooker']);
    $this->log($roast, 'lid', 25, ['minutes' => 2]);
    $stray = strayTexts($this->getJson("/api/roasts/$roast->id")->assertOk()->json(), $typed);
    $this->log($roast, 'pulled', 10);
    $this->log($roast, 'carved', 1);
    array_push($stray, ...strayTexts($this->getJson("/api/roasts/$roast->id")->assertOk()->json(), $typed));
    $kept = Roast::findOrFail($roast->id);
    $kept->inputs = ['dishes' => [['cut' => 'mammoth', 'mass_kg' => 1]]] + $kept->inputs;
    $kept->version = 99;
    $kept->save();
    array_push($stray, ...strayTexts($this->getJson("/api/roasts/$roast->id")->assertOk()->json(), $typed));
    $this->postJson('/api/cookers', ['name' => 'Weir kettle', 'kind' => 'kettle'])->assertCreated();
    foreach (['/api/cookers', '/api/mixes', '/api/reference'] as $path) {
        array_push($stray, ...strayTexts($this->getJson($path)->assertOk()->json(), $typed));
    }
    expect(array_values(array_unique($stray)))->toBe([]);
});

it('refuses in the reader’s own units', function (string $temperature, string $mass, string $heat, string $weight) {
    $this->actingAs(User::factory()->create(['temperature_unit' => $temperature, 'mass_unit' => $mass]));
    $file = Samples::file(['mass_kg' => 400, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 900]]], ['serve_at' => CarbonImmutable::now()->addDay()->toAtomString()]);
    $errors = $this->postJson('/api/preview', $file)->assertUnprocessable()->json('errors');
    expect($errors['dishes.0.stages.0.cooker_c'][0])->toContain($heat)->and($errors['dishes.0.mass_kg'][0])->toContain($weight);
})->with([['c', 'kg', '°C', ' kg'], ['f', 'lb', '°F', ' lb']]);

it('says hours at the table’s own clock', function () {
    $plan = Plan::of(
        Samples::roast(['rest_minutes' => 180], ['serve_at' => '2031-10-26T13:00:00+01:00', 'time_zone' => 'Europe/Oslo']),
        new DateTimeImmutable('2031-10-20T12:00:00Z'),
    );
    $sheet = entriesById($plan);
    $cold = $sheet['d0.pull']->at->modify(sprintf('+%d seconds', (int) round(60.0 * $plan->forecast(0)->knownHotMinutes())));
    expect(said($sheet['d0.hold']->detail))->toContain('at about '.$cold->format('H:i'));
});
