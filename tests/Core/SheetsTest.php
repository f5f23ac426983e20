<?php

declare(strict_types=1);

use Diatherm\Day\Entry;
use Diatherm\Day\KitItem;
use Diatherm\Day\Progress;
use Diatherm\Day\Purchase;
use Diatherm\Day\Work;
use Diatherm\Plan\Plan;
use Tests\Support\Samples;

// Whole days as a cook reads them, kept in tests/Core/sheets: every line with its minutes from the table, its window, what is late or
// done, what it asks of hands, the kit, and what is bought. A change that moves or rewords one shows here. SHEETS=write writes them anew, to be read through.

/** What is cooked: dish, roast, and, minutes before the table, the present and what was done by then, a dish each. */
const SHEETS = [
    'rack of pork on a kettle, and the table beside it' => [
        ['preparations' => ['dry_brine'], 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true, 'chores' => [['do' => 'turn', 'from_minutes' => 50], ['do' => 'fuel', 'every_minutes' => 40]]]]],
        ['dark_at' => '18:00', 'sides' => [['side' => 'greens'], ['side' => 'rice'], ['side' => 'buttered-loaf', 'minutes' => 12], ['side' => 'diced-potatoes'], ['side' => 'pan-gravy'], ['side' => 'stock']]],
    ],
    'ducks on a spit in a gas grill, salted, dried and tied' => [
        ['cut' => 'duck', 'mass_kg' => 2.2, 'pieces' => 2, 'taste' => 'done', 'preparations' => ['dry_brine', 'dry_skin', 'truss'], 'rig' => ['kind' => 'spit', 'room_cm' => 17], 'stages' => [['cooker' => 'grill-rotisserie', 'cooker_c' => 180, 'pull' => true, 'chores' => [['do' => 'baste', 'every_minutes' => 20]]]]],
        [],
    ],
    'a lamb over a trench, fed from a second fire' => [
        ['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => null, 'target_c' => 80, 'stages' => [['cooker' => 'open-spit', 'hand_s' => 6, 'pull' => true]]],
        ['wind_ms' => 3],
    ],
    'a leg in a camp oven, coals under and over' => [
        ['cut' => 'lamb-leg', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]]],
        ['fires' => [['cooker' => 'camp-oven', 'fuel' => 'lump', 'layout' => 'bake']]],
    ],
    'a turkey breast in the ground, in wind' => [
        ['cut' => 'turkey-breast', 'mass_kg' => 2.95, 'taste' => null, 'rig' => ['kind' => 'buried_pot'], 'stages' => [['cooker' => 'camp-oven', 'pull' => true]]],
        ['wind_ms' => 7, 'air_c' => 4],
    ],
    'a shoulder smoked, wrapped, rested and finished in the oven' => [
        ['cut' => 'pork-shoulder', 'mass_kg' => 3, 'taste' => 'tender', 'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'until_core_c' => 68], ['cooker' => 'pellet', 'cooker_c' => 120, 'until_core_c' => 80, 'wrap' => 'paper'], ['cooker' => 'rest', 'minutes' => 10], ['cooker' => 'oven', 'cooker_c' => 140, 'until_tender' => true, 'wrap' => 'foil']]],
        [],
    ],
    'a rib low on a kettle, then seared over the coals that are there' => [
        ['cut' => 'beef-rib', 'mass_kg' => 3, 'taste' => 'medium_rare', 'rest_minutes' => 30, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 110, 'until_core_c' => 46], ['cooker' => 'rest', 'minutes' => 15], ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 4]]],
        [],
    ],
    'a fillet of fish on a griddle' => [
        ['cut' => 'fish-fillet', 'mass_kg' => 0.8, 'taste' => null, 'target_c' => 63, 'stages' => [['cooker' => 'griddle', 'cooker_c' => 200, 'pull' => true]]],
        [],
    ],
    'a chicken in a countertop cooker, potatoes in the oven' => [
        ['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => null, 'target_c' => 79, 'start_c' => 12, 'stages' => [['cooker' => 'countertop-rotisserie', 'cooker_c' => 200, 'pull' => true]]],
        ['people' => 4],
    ],
    'two on one kettle and one on gas, with what is made the evening before' => [
        [],
        ['people' => 12, 'dishes' => [
            ['cut' => 'potatoes', 'pieces' => 12, 'mass_kg' => 0.2, 'start_c' => 15, 'taste' => 'soft', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]],
            ['cut' => 'pork-rack', 'mass_kg' => 3, 'start_c' => 6, 'taste' => 'juicy', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]],
            ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => null, 'target_c' => 79, 'stages' => [['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true]]],
        ], 'sides' => [['side' => 'stock'], ['side' => 'dried-mushrooms'], ['side' => 'flat-bread'], ['side' => 'buttered-loaf'], ['side' => 'raw-onions'], ['side' => 'marinade-sauce']]],
    ],
    'a rest so long that it is kept hot' => [['rest_minutes' => 180], []],
    'the rack on the heat, an hour before the table, some of it ticked' => [
        ['stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true, 'chores' => [['do' => 'baste', 'every_minutes' => 25]]]]],
        ['sides' => [['side' => 'diced-potatoes'], ['side' => 'greens']]],
        60, ['on' => 150, 'done' => ['d0.chore.0.0.0', 'side.diced-potatoes.ready']],
    ],
    'the rack pulled late, and carved' => [[], [], 5, ['on' => 160, 'pulled' => 30, 'carved' => 8]],
    'potatoes with the rack of lamb in its camp oven, bread on the lid, greens apart' => [
        ['cut' => 'lamb-rack', 'mass_kg' => 1.2, 'pieces' => 2, 'taste' => 'medium', 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 120, 'pull' => true]]],
        ['people' => 4, 'sides' => [['side' => 'diced-potatoes', 'with' => 0], ['side' => 'pan-gravy', 'with' => 0], ['side' => 'flat-bread', 'on' => 'camp-oven'], ['side' => 'greens', 'course' => 2]]],
    ],
    'what lies in the ground with the breast' => [
        ['cut' => 'turkey-breast', 'mass_kg' => 2.95, 'taste' => null, 'rig' => ['kind' => 'buried_pot'], 'stages' => [['cooker' => 'camp-oven', 'pull' => true]]],
        ['sides' => [['side' => 'diced-potatoes', 'with' => 0]]],
    ],
    'a leg marinated and salted for breakfast, asked for the afternoon before' => [
        ['cut' => 'lamb-leg', 'mass_kg' => 2.2, 'taste' => 'medium', 'preparations' => ['marinate_yoghurt', 'dry_brine'], 'stages' => [['cooker' => 'oven', 'cooker_c' => 165, 'pull' => true]]],
        ['serve_at' => '2031-10-04T10:30:00+02:00'], 19 * 60,
    ],
    'a leg salted from what is left of the day' => [
        ['cut' => 'lamb-leg', 'mass_kg' => 2.2, 'taste' => 'medium', 'preparations' => ['dry_brine'], 'stages' => [['cooker' => 'gas', 'cooker_c' => 175, 'pull' => true]]], [], 420,
    ],
    'two on their way, chores missed, one cooker for both, two pairs of hands' => [
        [],
        ['hands' => 2, 'dishes' => [
            ['cut' => 'pork-rack', 'mass_kg' => 3, 'start_c' => 6, 'taste' => 'juicy', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true, 'chores' => [['do' => 'turn', 'every_minutes' => 20], ['do' => 'baste', 'every_minutes' => 20], ['do' => 'spray', 'from_minutes' => 30, 'every_minutes' => 15]]]]],
            ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => null, 'target_c' => 79, 'stages' => [['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true, 'chores' => [['do' => 'baste', 'every_minutes' => 20]]]]],
        ], 'sides' => [['side' => 'diced-potatoes'], ['side' => 'greens']]],
        45, ['on' => 170], ['on' => 150, 'pulled' => 50],
    ],
    'a rib seared over the grate, potatoes on the kettle that it leaves' => [
        ['cut' => 'beef-rib', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 130, 'until_core_c' => 50], ['cooker' => 'rest', 'minutes' => 10], ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 5]]],
        ['fires' => [['cooker' => 'kettle', 'fuel' => 'quick-light']], 'sides' => [['side' => 'diced-potatoes', 'on' => 'kettle'], ['side' => 'flat-bread', 'on' => 'open-grate']]],
    ],
    'a leg in a camp oven beside a fire, coals on its lid alone, nothing under it' => [
        ['cut' => 'lamb-leg', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]]],
        ['wind_ms' => 0, 'air_c' => 20, 'fires' => [['cooker' => 'camp-oven', 'fuel' => 'briquettes', 'layout' => 'beside']]],
    ],
    'a tri-tip off a hot kettle, seared over what glows in it' => [
        ['cut' => 'beef-tri-tip', 'mass_kg' => 1.1, 'taste' => 'medium_rare', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 230, 'until_core_c' => 44], ['cooker' => 'rest', 'minutes' => 8], ['cooker' => 'open-grate', 'cooker_c' => 330, 'minutes' => 3]]],
        ['people' => 4],
    ],
    'steaks on a grate over wood, for two in two courses' => [
        ['cut' => 'beef-steak', 'mass_kg' => 0.45, 'pieces' => 2, 'taste' => 'medium_rare', 'preparations' => ['rub'], 'stages' => [['cooker' => 'open-grate', 'hand_s' => 3, 'pull' => true, 'chores' => [['do' => 'turn', 'every_minutes' => 4]]]]],
        ['people' => 2, 'dark_at' => '18:15', 'fires' => [['cooker' => 'open-grate', 'fuel' => 'hardwood']], 'sides' => [['side' => 'flat-bread', 'on' => 'open-grate'], ['side' => 'greens', 'course' => 2]]],
    ],
    'a turkey from the freezer, brined and dried, on pellets and then on gas' => [
        ['cut' => 'turkey', 'mass_kg' => 5.4, 'taste' => null, 'target_c' => 79, 'preparations' => ['thaw_fridge', 'wet_brine', 'dry_skin'], 'stages' => [['cooker' => 'pellet', 'cooker_c' => 120, 'until_core_c' => 60, 'chores' => [['do' => 'spray', 'from_minutes' => 60, 'every_minutes' => 45]]], ['cooker' => 'gas', 'cooker_c' => 200, 'pull' => true]]],
        ['people' => 10, 'sides' => [['side' => 'pan-gravy', 'with' => 0], ['side' => 'roots-in-stock']]],
    ],
    'fish for noon, marinated the same morning' => [
        ['cut' => 'fish-whole', 'mass_kg' => 1.6, 'taste' => null, 'target_c' => 63, 'preparations' => ['marinate_fish', 'stuff'], 'stages' => [['cooker' => 'gas', 'cooker_c' => 190, 'pull' => true]]],
        ['serve_at' => '2031-10-04T12:00:00+02:00', 'hands' => 1, 'sides' => [['side' => 'greens'], ['side' => 'stock']]], 5 * 60,
    ],
    'what was put on late, with its chores behind and the table moved' => [
        ['stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'until_core_c' => 50, 'chores' => [['do' => 'baste', 'every_minutes' => 30], ['do' => 'fuel', 'every_minutes' => 40]]], ['cooker' => 'kettle', 'cooker_c' => 170, 'pull' => true, 'wrap' => 'foil', 'chores' => [['do' => 'own', 'words' => 'Look at the skin', 'every_minutes' => 12]]]]],
        ['sides' => [['side' => 'diced-potatoes', 'on' => 'kettle'], ['side' => 'rice']]],
        30, ['on' => 90, 'done' => ['d0.chore.0.0.0']],
    ],
    'steaks slow and then hot on one gas grill' => [
        ['cut' => 'beef-steak', 'mass_kg' => 0.6, 'pieces' => 4, 'taste' => 'medium_rare', 'stages' => [['cooker' => 'gas', 'cooker_c' => 120, 'until_core_c' => 45], ['cooker' => 'rest', 'minutes' => 10], ['cooker' => 'gas-direct', 'cooker_c' => 260, 'minutes' => 3, 'chores' => [['do' => 'turn', 'every_minutes' => 1]]]]],
        ['people' => 4, 'air_c' => 22, 'sides' => [['side' => 'greens'], ['side' => 'flat-bread', 'on' => 'gas-direct']]],
    ],
    'a rack beside the coals of a kettle, steaks over them once it is off' => [
        [],
        ['people' => 10, 'dishes' => [
            ['cut' => 'pork-rack', 'mass_kg' => 2.4, 'start_c' => 6, 'taste' => 'juicy', 'rest_minutes' => 30, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]],
            ['cut' => 'beef-steak', 'name' => 'Steaks', 'pieces' => 4, 'mass_kg' => 0.35, 'start_c' => 6, 'taste' => 'medium', 'stages' => [['cooker' => 'kettle-direct', 'cooker_c' => 260, 'pull' => true, 'chores' => [['do' => 'turn', 'every_minutes' => 4]]]]],
        ], 'hands' => 2, 'sides' => [['side' => 'roots-in-stock'], ['side' => 'flat-bread', 'on' => 'kettle-direct'], ['side' => 'greens']]],
    ],
    'a rib in a kettle, then over all its coals' => [
        ['cut' => 'beef-rib', 'mass_kg' => 2.6, 'taste' => 'medium_rare', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 120, 'until_core_c' => 45], ['cooker' => 'rest', 'minutes' => 15], ['cooker' => 'kettle-direct', 'cooker_c' => 280, 'minutes' => 6, 'chores' => [['do' => 'turn', 'every_minutes' => 2]]]]],
        [],
    ],
    'legs browned over the coals, then beside them' => [
        ['cut' => 'chicken-legs', 'mass_kg' => 0.3, 'pieces' => 6, 'taste' => null, 'target_c' => 79, 'stages' => [['cooker' => 'kettle-direct', 'cooker_c' => 230, 'minutes' => 8, 'chores' => [['do' => 'turn', 'every_minutes' => 3]]], ['cooker' => 'kettle', 'cooker_c' => 170, 'pull' => true]]],
        ['people' => 4],
    ],
    'belly in an oven, its rind under the grill' => [
        ['cut' => 'pork-belly', 'mass_kg' => 2, 'taste' => 'tender', 'stages' => [['cooker' => 'oven', 'cooker_c' => 140, 'until_core_c' => 85], ['cooker' => 'oven-grill', 'cooker_c' => 230, 'minutes' => 8]]],
        ['people' => 4],
    ],
    'thighs in a camp oven laid to simmer, in three courses' => [
        ['cut' => 'chicken-legs', 'mass_kg' => 0.2, 'pieces' => 6, 'taste' => null, 'target_c' => 79, 'course' => 2, 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 180, 'pull' => true]]],
        ['fires' => [['cooker' => 'camp-oven', 'fuel' => 'briquettes', 'layout' => 'simmer']], 'sides' => [['side' => 'greens', 'course' => 1], ['side' => 'rice', 'course' => 2], ['side' => 'buttered-loaf', 'course' => 3]]],
    ],
];

/** @param  array{0: array<string, mixed>, 1: array<string, mixed>, 2?: int, 3?: array<string, mixed>, 4?: array<string, mixed>}  $case */
function sheetAsRead(array $case): string
{
    $roast = Samples::roast($case[0], $case[1]);
    $before = fn (int $minutes): DateTimeImmutable => $roast->serveAt->modify("-$minutes minutes");
    $progress = array_map(fn (array $made): Progress => new Progress(
        $before($made['on']),
        pulledAt: isset($made['pulled']) ? $before($made['pulled']) : null,
        carvedAt: isset($made['carved']) ? $before($made['carved']) : null,
        done: array_fill_keys($made['done'] ?? [], $before($made['on'])),
    ), array_slice($case, 3));
    $plan = Plan::of($roast, isset($case[2]) ? $before($case[2]) : $roast->serveAt->modify('-5 days'), $progress);
    // To a tenth, so that a second more or less of anything is seen.
    $minutes = fn (?DateTimeImmutable $at): string => $at === null ? '' : sprintf('%.1f', ($at->getTimestamp() - $roast->serveAt->getTimestamp()) / 60.0);
    $lines = array_map(fn (Entry $entry): string => rtrim(sprintf(
        '%8s %-22s %s%s%s%s%s%s%s',
        $minutes($entry->at),
        $entry->id->text(),
        said($entry->title),
        $entry->detail === null ? '' : '. '.said($entry->detail),
        $entry->earliest === null && $entry->latest === null ? '' : " [{$minutes($entry->earliest)}..{$minutes($entry->latest)}]",
        $entry->until === null ? '' : " to {$minutes($entry->until)}",
        ($entry->done ? ' DONE' : '').($entry->late ? ' LATE' : ''),
        $entry->clash === null ? '' : ' CLASH '.said($entry->clash),
        handsOfLine($entry->work),
    )), $plan->runSheet->entries);
    $kit = array_map(fn (KitItem $item): string => sprintf('%8s %s: %s', $minutes($item->neededBy), said($item->name), said($item->why)), $plan->kit);
    $bought = array_map(fn (Purchase $one): string => trim($one->aisle.': '.said($one->what).', '.($one->amount === null ? '' : said($one->amount)), ', '), $plan->shopping);
    $end = sprintf('Ready %s, promised %s%s', $minutes($plan->runSheet->readyAt), $minutes($plan->runSheet->earliestServeAt), $plan->runSheet->isTooLate() ? ', too late' : '');

    return implode("\n", [...$lines, '', $end, '', ...$kit, '', ...$bought])."\n";
}

/** Minutes of hands, where, how much sooner and later it may be done, and whose lid is off for it. */
function handsOfLine(?Work $work): string
{
    return $work === null || $work->minutes <= 0.0 ? '' : sprintf(
        ' {%s min %s -%s +%s%s}', round($work->minutes, 2), strtolower($work->station->name), round($work->earlierMinutes, 2), round($work->laterMinutes, 2),
        $work->lid === null ? '' : " $work->lid",
    );
}

it('lays out the whole day as it is kept', function (string $name) {
    $file = __DIR__.'/sheets/'.str_replace([' ', ','], ['-', ''], $name).'.txt';
    $sheet = sheetAsRead(SHEETS[$name]);
    if (getenv('SHEETS') === 'write') {
        file_put_contents($file, $sheet);
    }
    expect($sheet)->toBe((string) file_get_contents($file));
})->with(array_keys(SHEETS));

it('keeps no day that nobody cooks', function () {
    expect(glob(__DIR__.'/sheets/*.txt'))->toHaveCount(count(SHEETS));
});
