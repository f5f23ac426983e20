<?php

declare(strict_types=1);

namespace Tests\Support;

use Diatherm\Cooker\CookerShed;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Table;
use Diatherm\Plan\Forecast;

/** The cooks of the trade in data/practice-cases.json beside what the model makes of them. */
final class Practice
{
    /** @return list<array{id: string, what: string, least: float, most: float, predicted: Forecast, off: float, source: string}> */
    public static function cases(): array
    {
        $rows = [];
        foreach (Table::named('practice-cases')['cases'] as $case) {
            $cookerC = $case['cooker_c'] ?? (isset($case['hand_s']) ? HandTest::wallC($case['hand_s']) : CookerShed::kind($case['cooker'])->defaultC);
            $forecast = Forecast::of(Samples::dish([
                'cut' => $case['cut'], 'form' => $case['form'], 'mass_kg' => $case['mass_kg'], 'start_c' => $case['start_c'],
                'taste' => null, 'target_c' => $case['core_c'], 'coast' => false,
                'stages' => [['cooker' => $case['cooker'], 'cooker_c' => $cookerC, 'pull' => true]],
            ]), 20.0);
            [$least, $most] = $case['minutes'];
            $rows[] = [
                'id' => $case['id'], 'what' => $case['what'], 'least' => (float) $least, 'most' => (float) $most, 'predicted' => $forecast,
                'off' => $forecast->cookMinutes->likely / (0.5 * ($least + $most)) - 1.0,
                'source' => $case['citation'] ?? 'common practice',
            ];
        }

        return $rows;
    }
}
