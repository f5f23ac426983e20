<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Diatherm\Heat\Resolution;
use Diatherm\Plan\Cook;
use Diatherm\Plan\Course;
use Diatherm\Plan\Fire\FireCase;
use Diatherm\Plan\TradeCase;
use Illuminate\Console\Command;

/** Writes docs/numbers.md: what the model makes of the cooks of the trade, and how well its grid has converged. */
final class NumbersCommand extends Command
{
    protected $signature = 'diatherm:numbers {--print : to the screen instead of docs/numbers.md}';

    protected $description = 'Hold the heat model against practice and against its own finer grids';

    public function handle(): int
    {
        $text = implode("\n", [
            '# Predicted against practice',
            '',
            'Written by `php artisan diatherm:numbers`; not by hand. Minutes to the stated core temperature: practice as a range, the',
            'model as likely with its 10–90 % band. One parameter set for each kind of cooker (`data/cookers.json`), none for a case.',
            'Cases and their sources: `data/practice-cases.json`.',
            '',
            ...$this->practice(),
            '',
            '# Fires and settings',
            '',
            'The same for what practice says of fires, vents, burners and coals (`data/fire-practice.json`); one set of facts a kind of',
            'cooker (`data/equipment.json`), still air at 20 °C.',
            '',
            ...$this->fires(),
            '',
            '# Grid and step',
            '',
            'A rack of pork of 3 kg on a kettle at 150 °C, minutes to a core of 57 °C. The second row is what is shown, the first what',
            'ensembles use (their answers are laid about a run of the second).',
            '',
            ...$this->convergence(),
            '',
        ]);
        if ($this->option('print')) {
            $this->output->write($text);
        } else {
            file_put_contents(base_path('docs/numbers.md'), $text);
            $this->components->info('docs/numbers.md is written.');
        }

        return self::SUCCESS;
    }

    /** @return list<string> */
    private function practice(): array
    {
        $rows = ['| Case | Practice, min | Model, min | Band, min | Off the middle | Source |', '|---|---|---|---|---|---|'];
        $offs = [];
        foreach (TradeCase::all() as $case) {
            $forecast = $case->forecast();
            $minutes = $forecast->cookMinutes;
            $off = $case->off($forecast);
            $offs[] = abs($off);
            $rows[] = sprintf('| %s | %.0f–%.0f | %.0f | %.0f–%.0f | %+.0f %% | %s |', $case->what.', '.$case->dish->massKg.' kg', $case->leastMinutes, $case->mostMinutes, $minutes->likely, $minutes->low, $minutes->high, 100 * $off, $case->source->inWords());
        }
        sort($offs);
        $rows[] = '';
        $rows[] = sprintf('Median %.0f %%, worst %.0f %%.', 100 * $offs[intdiv(count($offs), 2)], 100 * end($offs));

        return $rows;
    }

    /** @return list<string> */
    private function fires(): array
    {
        $rows = ['| What | Practice | Computed |', '|---|---|---|'];
        foreach (FireCase::all() as $case) {
            $digits = $case->most < 10.0 ? 2 : 0;
            $rows[] = sprintf("| %s | %s–%s %s | %.{$digits}f |", $case->what, $case->least, $case->most, $case->unit, $case->computed());
        }

        return $rows;
    }

    /** @return list<string> */
    private function convergence(): array
    {
        $dish = \Diatherm\Plan\RoastFile::read(['serve_at' => '2000-01-01T12:00:00Z', 'dishes' => [['cut' => 'pork-rack', 'mass_kg' => 3, 'start_c' => 6, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150]]]]])->dishes[0];
        $minutes = [];
        foreach ([Resolution::coarse(), Resolution::fine(), Resolution::of(40, 6.0), Resolution::of(80, 1.0)] as $resolution) {
            $cook = Cook::of($dish, 14.0, $resolution, Course::asPlanned());
            $cook->body->record();
            $cook->toPull(57.0);
            $minutes[] = [$resolution->cells, $cook->body->longestStepS, $cook->body->elapsedS() / 60.0, $cook->body->energyGap()];
        }
        $best = $minutes[count($minutes) - 1][2];
        $rows = ['| Cells | Longest step, s | Minutes | Off the finest | Energy not accounted for |', '|---|---|---|---|---|'];
        foreach ($minutes as [$cells, $step, $at, $gap]) {
            $rows[] = sprintf('| %d | %.0f | %.2f | %+.2f min | %.3f %% |', $cells, $step, $at, $at - $best, 100 * $gap);
        }

        return $rows;
    }
}
