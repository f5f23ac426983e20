<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Safety\Keeping;
use Diatherm\Safety\Precaution;
use Diatherm\Safety\SafeMinimum;
use Diatherm\Safety\Trouble;
use Illuminate\Http\JsonResponse;

/** What stands in a handbook beside what every screen knows: troubles, minimums, keeping, cautions, fuels and the hand test, each with its source. */
final class HandbookController
{
    /** A usual evening: where it is hotter, the hours are shorter, and the rule says so itself. */
    private const AIR_C = 20.0;

    private const MOST_SECONDS = 12;

    public function __invoke(): JsonResponse
    {
        return (new JsonResponse([
            'minimums' => array_map(fn (SafeMinimum $one, string $id): array => [
                'id' => $id,
                'name' => $one->name,
                'core_c' => $one->coreC,
                'hold_minutes' => $one->holdMinutes,
                'by_time' => $one->lethality?->name,
                'source' => $one->source->inWords(),
            ], SafeMinimum::all(), array_keys(SafeMinimum::all())),
            'keeping' => array_map(
                fn (Keeping $rule): array => ['when' => $rule->when, 'then' => $rule->then, 'source' => $rule->source->inWords()],
                Keeping::rules(self::AIR_C),
            ),
            'troubles' => array_map(fn (Trouble $one): array => [
                'id' => $one->id, 'name' => $one->name, 'called' => $one->called, 'words' => $one->do, 'source' => $one->source->inWords(),
            ], Trouble::all()),
            'cautions' => array_map(fn (Precaution $one): array => [
                'id' => $one->id, 'name' => $one->name, 'called' => $one->called, 'words' => $one->words, 'source' => $one->source->inWords(),
            ], Precaution::all()),
            'fuels' => array_values(array_map(fn (Fuel $fuel): array => [
                'id' => $fuel->id,
                'name' => $fuel->name,
                'use' => $fuel->use,
                'caution' => $fuel->caution,
                'ash_over_minutes' => $fuel->ashOverMinutes,
                'burn_out_minutes' => $fuel->burnOutMinutes,
                'piece_g' => $fuel->pieceKg === null ? null : round(1000.0 * $fuel->pieceKg, 1),
            ], Fuel::all())),
            'hand' => array_map(fn (int $seconds): array => [
                'seconds' => $seconds, 'wall_c' => round(HandTest::wallC((float) $seconds)), 'words' => HandTest::inWords((float) $seconds),
            ], range(2, self::MOST_SECONDS)),
            'hand_source' => Source::of(Mark::Common)->inWords(),
        ]))->setPublic()->setMaxAge(3600);
    }
}
