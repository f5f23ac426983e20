<?php

declare(strict_types=1);

use Diatherm\Fire\HandTest;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What the cook put in becomes one document, the roast file as it is, beside the few columns that are searched by. */
return new class extends Migration
{
    private const PER_DISH = ['name', 'cut', 'form', 'pieces', 'mass_kg', 'thickness_cm', 'girth_cm', 'start_c', 'taste', 'target_c', 'coast', 'rest_minutes', 'preparations', 'rig'];

    public function up(): void
    {
        Schema::table('roasts', function (Blueprint $table): void {
            $table->longText('inputs')->nullable()->comment('the roast file');
            $table->longText('lighting')->nullable()->comment('what was expected when the first dish went on; for the debrief');
            $table->string('status', 10)->default('planned');
            $table->unsignedInteger('version')->default(1)->comment('of the inputs and the log');
        });
        DB::table('roasts')->orderBy('id')->each(function (object $roast): void {
            $row = (array) $roast;
            DB::table('roasts')->where('id', $row['id'])->update(['inputs' => $this->json($this->file($row)), 'lighting' => $this->lighting($row['plan_at_lighting']), 'status' => $this->status($row['id'])]);
        });
        Schema::drop('stages');
        Schema::drop('dishes');
        Schema::table('roasts', function (Blueprint $table): void {
            $table->longText('inputs')->nullable(false)->change();
            $table->dropColumn(['people', 'air_c', 'latitude', 'longitude', 'dark_at', 'wind_ms', 'rain', 'altitude_m', 'fires', 'plan_at_lighting']);
        });
        Schema::table('cookers', function (Blueprint $table): void {
            $table->unsignedInteger('version')->default(1)->comment('of its facts and its log');
        });
    }

    public function down(): void
    {
        Schema::table('cookers', fn (Blueprint $table) => $table->dropColumn('version'));
        Schema::table('roasts', function (Blueprint $table): void {
            $table->unsignedSmallInteger('people')->default(1);
            $table->double('air_c')->default(20);
            $table->longText('plan_at_lighting')->nullable();
            $table->double('latitude')->nullable();
            $table->double('longitude')->nullable();
            $table->string('dark_at', 5)->nullable();
            $table->double('wind_ms')->default(1.5);
            $table->boolean('rain')->default(false);
            $table->double('altitude_m')->default(0);
            $table->json('fires')->nullable();
        });
        Schema::create('dishes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('roast_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('name', 80);
            $table->string('cut', 60);
            $table->string('form', 40);
            $table->unsignedSmallInteger('pieces');
            foreach (['mass_kg' => false, 'thickness_cm' => true, 'girth_cm' => true, 'start_c' => false, 'target_c' => true, 'rest_minutes' => false] as $column => $nullable) {
                $table->double($column)->nullable($nullable);
            }
            $table->string('taste', 40)->nullable();
            $table->boolean('coast')->nullable();
            $table->json('preparations')->nullable();
            $table->json('rig')->nullable();
            $table->unique(['roast_id', 'position']);
        });
        Schema::create('stages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('dish_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('cooker', 60);
            $table->double('cooker_c');
            $table->string('end', 20);
            $table->double('value')->nullable();
            $table->json('chores');
            $table->string('wrap', 10)->nullable();
            $table->unique(['dish_id', 'position']);
        });
        DB::table('roasts')->orderBy('id')->each(function (object $roast): void {
            $row = (array) $roast;
            $this->backToRows($row['id'], $this->read($row['inputs']), $this->read($row['lighting']));
        });
        Schema::table('roasts', fn (Blueprint $table) => $table->dropColumn(['inputs', 'lighting', 'status', 'version']));
    }

    /**
     * @param  array<string, mixed>  $roast
     * @return array<string, mixed> the roast file
     */
    private function file(array $roast): array
    {
        $zone = (string) $roast['time_zone'];
        $serve = (new DateTimeImmutable((string) $roast['serve_at'], new DateTimeZone('UTC')))->setTimezone(new DateTimeZone($zone));

        return [
            'format' => 'diatherm.roast',
            'version' => 2,
            'name' => $roast['name'],
            'serve_at' => $serve->format(DateTimeInterface::ATOM),
            ...(str_contains($zone, ':') ? [] : ['time_zone' => $zone]),
            'people' => (int) $roast['people'],
            'air_c' => (float) $roast['air_c'],
            ...($roast['latitude'] === null ? [] : ['latitude' => (float) $roast['latitude'], 'longitude' => (float) $roast['longitude']]),
            ...($roast['dark_at'] === null ? [] : ['dark_at' => $roast['dark_at']]),
            'wind_ms' => (float) $roast['wind_ms'],
            'rain' => (bool) $roast['rain'],
            'altitude_m' => (float) $roast['altitude_m'],
            'fires' => $this->read($roast['fires']),
            'dishes' => DB::table('dishes')->where('roast_id', $roast['id'])->orderBy('position')->get()->map(fn (object $dish): array => $this->dish((array) $dish))->all(),
        ];
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private function dish(array $row): array
    {
        $dish = [];
        foreach (self::PER_DISH as $key) {
            if ($row[$key] !== null) {
                $dish[$key] = match ($key) {
                    'preparations', 'rig' => $this->read($row[$key]),
                    'coast' => (bool) $row[$key],
                    'pieces' => (int) $row[$key],
                    'name', 'cut', 'form', 'taste' => $row[$key],
                    default => (float) $row[$key],
                };
            }
        }

        return $dish + ['stages' => DB::table('stages')->where('dish_id', $row['id'])->orderBy('position')->get()->map(function (object $stage): array {
            $step = (array) $stage;

            return [
                'cooker' => $step['cooker'],
                'cooker_c' => (float) $step['cooker_c'],
                $step['end'] => $step['value'] === null ? true : (float) $step['value'],
                'chores' => $this->read($step['chores']),
                ...($step['wrap'] === null ? [] : ['wrap' => $step['wrap']]),
            ];
        })->all()];
    }

    /** Of what was kept at the lighting, the facts alone. */
    private function lighting(?string $kept): ?string
    {
        $plan = $this->read($kept);
        if ($plan === []) {
            return null;
        }

        return $this->json([
            'dishes' => array_map(fn (array $dish, array $curve): array => ['cook_minutes' => $dish['cook_minutes'], 'pull_c' => $dish['pull_c'], 'curve' => $curve], $plan['dishes'] ?? [], $plan['curves'] ?? []),
            'settings' => $plan['settings'] ?? [],
        ]);
    }

    private function status(string $roast): string
    {
        $dishes = DB::table('dishes')->where('roast_id', $roast)->count();
        $of = fn (string $kind): int => DB::table('events')->where('roast_id', $roast)->where('kind', $kind)->distinct()->count('dish');

        return match (true) {
            $of('on') === 0 => 'planned',
            $of('carved') >= $dishes => 'done',
            $of('pulled') >= $dishes => 'resting',
            default => 'cooking',
        };
    }

    /**
     * @param  array<string, mixed>  $file
     * @param  array<string, mixed>  $lighting
     */
    private function backToRows(string $id, array $file, array $lighting): void
    {
        $plan = $lighting === [] ? null : $this->json([
            'dishes' => array_map(fn (array $dish): array => array_diff_key($dish, ['curve' => 0]), $lighting['dishes'] ?? []),
            'curves' => array_column($lighting['dishes'] ?? [], 'curve'),
            'settings' => $lighting['settings'] ?? [],
        ]);
        DB::table('roasts')->where('id', $id)->update(['fires' => $this->json($file['fires'] ?? []), 'plan_at_lighting' => $plan] + array_intersect_key($file, array_flip(['people', 'air_c', 'latitude', 'longitude', 'dark_at', 'wind_ms', 'rain', 'altitude_m'])));
        foreach ($file['dishes'] ?? [] as $position => $dish) {
            $row = array_intersect_key($dish, array_flip(self::PER_DISH));
            foreach (['preparations', 'rig'] as $key) {
                $row[$key] = isset($row[$key]) ? $this->json($row[$key]) : null;
            }
            $number = DB::table('dishes')->insertGetId(['roast_id' => $id, 'position' => $position] + $row);
            foreach ($dish['stages'] as $place => $stage) {
                $end = array_values(array_intersect(['minutes', 'until_core_c', 'until_tender', 'pull'], array_keys($stage)))[0] ?? 'pull';
                DB::table('stages')->insert([
                    'dish_id' => $number, 'position' => $place, 'cooker' => $stage['cooker'], 'cooker_c' => $stage['cooker_c'] ?? (isset($stage['hand_s']) ? HandTest::wallC((float) $stage['hand_s']) : 20.0), 'end' => $end,
                    'value' => is_bool($stage[$end] ?? true) ? null : $stage[$end], 'chores' => $this->json($stage['chores'] ?? []), 'wrap' => $stage['wrap'] ?? null,
                ]);
            }
        }
    }

    /** @return array<array-key, mixed> */
    private function read(?string $json): array
    {
        $value = $json === null ? [] : json_decode($json, true, flags: JSON_THROW_ON_ERROR);

        return is_array($value) ? $value : [];
    }

    /** @param  array<array-key, mixed>  $value */
    private function json(array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
    }
};
