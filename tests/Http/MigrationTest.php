<?php

declare(strict_types=1);

use App\Models\Roast;
use Diatherm\Roast\RoastFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Support\Samples;

// What was stored by the version before comes over whole, and goes back whole.
/** How many migrations there are from that one on. */
function migrationsSince(string $name): int
{
    $files = array_map(basename(...), (array) glob(__DIR__.'/../../database/migrations/*.php'));

    return count(array_filter($files, fn (string $file): bool => $file >= $name));
}

it('carries every roast over into one document and back into rows', function () {
    $cook = $this->cook();
    $this->actingAs($cook);
    $soon = ['serve_at' => now()->addHours(9)->toAtomString()];
    $files = [
        Samples::file(['name' => 'Rack', 'thickness_cm' => 10.2, 'preparations' => ['dry_brine'], 'stages' => [
            ['cooker' => 'kettle', 'cooker_c' => 140, 'until_core_c' => 48, 'wrap' => 'foil'], ['cooker' => 'rest', 'minutes' => 10], [
                'cooker' => 'kettle', 'cooker_c' => 220, 'pull' => true,
                'chores' => [['do' => 'baste', 'every_minutes' => 20]],
            ],
        ]], $soon + ['name' => 'At the weir', 'latitude' => 51.5, 'longitude' => -1.2, 'dark_at' => '19:30', 'wind_ms' => 3.5, 'rain' => true, 'altitude_m' => 120, 'fires' => [['cooker' => 'kettle', 'layout' => 'two_sides']]]),
        Samples::file(
            ['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'hand_s' => 6]]],
            $soon,
        ),
        Samples::file(
            [
                'cut' => 'beef-chuck',
                'mass_kg' => 2,
                'taste' => null,
                'target_c' => 93,
                'coast' => false,
                'stages' => [['cooker' => 'pellet', 'cooker_c' => 121, 'until_tender' => true]],
            ],
            ['serve_at' => now()->addDays(2)->toAtomString()],
        ),
        Samples::file(
            [
                'cut' => 'turkey-breast',
                'mass_kg' => 2.95,
                'taste' => 'done',
                'rig' => ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => 'wet'],
                'stages' => [['cooker' => 'camp-oven']],
            ],
            ['serve_at' => now()->addDays(2)->toAtomString()],
        ),
    ];
    $ids = array_map(fn (array $file): string => $this->postJson('/api/roasts', $file)->assertCreated()->json('id'), $files);
    $lit = Roast::findOrFail($ids[0]);
    $this->log($lit, 'on', 5);
    $read = fn (): array => array_map(fn (string $id): array => RoastFile::write(RoastFile::read(Roast::findOrFail($id)->inputs)), $ids);
    [$before, $lighting] = [$read(), Roast::findOrFail($ids[0])->lighting];
    try {
        Artisan::call('migrate:rollback', ['--step' => migrationsSince('2026_11_26_000003'), '--force' => true]);
        expect(DB::table('dishes')->whereIn('roast_id', $ids)->count())->toBe(4)
            ->and(DB::table('dishes')->where('roast_id', $ids[0])->value('thickness_cm'))->toEqual(10.2)
            ->and(DB::table('stages')->join('dishes', 'dishes.id', '=', 'stages.dish_id')->where('roast_id', $ids[0])->count())->toBe(3)
            ->and(DB::table('roasts')->where('id', $ids[0])->value('wind_ms'))->toEqual(3.5);
    } finally {
        Artisan::call('migrate', ['--force' => true]);
    }
    expect($read())->toEqual($before)
        ->and(Roast::findOrFail($ids[0])->lighting)->toEqual($lighting)
        ->and(Roast::findOrFail($ids[0])->status)->toBe('cooking')
        ->and(Roast::findOrFail($ids[1])->status)->toBe('planned');
    // Changing tables ends the transaction that tests run in.
    $cook->delete();
});
