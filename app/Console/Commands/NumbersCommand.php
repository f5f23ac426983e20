<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Words\Voice;
use Diatherm\Cooker\CookerShed;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Heat\Resolution;
use Diatherm\Practice\BeliefTrial;
use Diatherm\Practice\Calibration;
use Diatherm\Practice\DinnerTrial;
use Diatherm\Practice\FireCase;
use Diatherm\Practice\ForeignTrial;
use Diatherm\Practice\TradeCase;
use Diatherm\Roast\Dish;
use Diatherm\Roast\RoastFile;
use Illuminate\Console\Command;

/** Writes docs/numbers.md: what the model makes of the cooks of the trade, and how well its grid has converged. */
final class NumbersCommand extends Command
{
    /** Simulated cooks of each dish. */
    private const TRIALS = 8;

    /** Of the cooks of the trade, one in so many is cooked by each truth. */
    private const EVERY_FOREIGN = 2;

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
            '## Fitted, and left out',
            '',
            'What the model leaves open (`data/calibration.json`: constants, films, shapes of cuts) is fitted to these cooks by',
            '`php artisan diatherm:calibrate`. Fitted: off the middle of practice as shipped. Left out: the same had no cook with that heat and that',
            'kind of food (beef in a kitchen oven, say) been known; shapes and films go with them. To first order, about the fitted point. The band of',
            'each kind of heat is as wide as its left-out cooks ask, wider where they are few, and the last columns say how many it holds. Usual values',
            'that come from earlier looks at the same cooks make the left-out columns look a little better than cooks nobody has seen.',
            '',
            ...$this->leftOut(),
            '',
            '# Climbs off the heat',
            '',
            'How far the core rises after the pull, as the model has it, and as it is shown and may be counted on (`Safety\Carryover`:',
            'practice bounds it, whatever the model says).',
            '',
            ...$this->climbs(),
            '',
            '# Fuel',
            '',
            ...$this->fuel(),
            '',
            '# Fires and settings',
            '',
            'The same for what practice says of fires, vents, burners and coals (`data/fire-practice.json`); one set of facts a kind of',
            'cooker (`data/equipment.json`), still air at 20 °C.',
            '',
            ...$this->fires(),
            '',
            '# Closed vessels',
            '',
            'A bird of 6.35 kg in a lidded roaster, and a turkey breast of 2.95 kg in a buried pot with 3 cm of stock, to 74 °C. What the wall',
            'was given and is neither stored, passed on nor lost is the gap.',
            '',
            ...$this->vessels(),
            '',
            '# Belief during a cook',
            '',
            'Simulated cooks drawn from what a plan thinks possible, read every sixteenth of the cook to half a kelvin: how often the live',
            'band of eight in ten holds the hour that came, and the median error of the likely hour, when so much of the cook has passed.',
            'The probe is up to a quarter of the half-thickness off the core; the cooker is not read, and wanders by 6 % of its rise over',
            'an hour or two, or falls by 30 K within the first third. Before the core answers nobody can know of a fall: half an hour after',
            'one a big roast is half a kelvin behind.',
            '',
            ...$this->belief(),
            '',
            '## By cooks that owe the model nothing',
            '',
            'Their length is drawn from what practice says of each cook, not from the plan. A plain body conducts, with a shape between a slab and',
            'a ball and a surface that dries: the forecast’s shapes were drawn from such bodies. A logged course has no physics: flat, ever steeper,',
            'straight, slower. Both were looked at while the forecast’s few constants were chosen, so neither is blind. The last rows were not: there',
            'a fire falls unread to three quarters of its pace, in one cook of four. Readings come each fourteenth of the cook, from a thermometer and',
            'a place that are off; the cooker is not read. The columns: share held,',
            'median error, nine in ten, half of the bands’ widths, then the median and nine in ten of a straight line through the last two readings.',
            '',
            ...$this->foreign(),
            '',
            '## Dinners',
            '',
            'The joint goes on as planned, by the slow end of its hours; how long it takes is what practice says of that cook. Late is more than ten',
            'minutes after the table; told is half an hour before it, by the likely hour as it is read.',
            '',
            ...$this->dinners(),
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
        $held = 0;
        foreach (TradeCase::all() as $case) {
            $forecast = $case->forecast();
            $minutes = $forecast->cookMinutes;
            $off = $case->off($forecast);
            $offs[] = abs($off);
            $held += $case->isHeldBy($forecast) ? 1 : 0;
            $rows[] = sprintf(
                '| %s | %.0f–%.0f | %.0f | %.0f–%.0f | %+.0f %% | %s |',
                $case->what.', '.$case->dish->massKg.' kg',
                $case->leastMinutes,
                $case->mostMinutes,
                $minutes->likely,
                $minutes->low,
                $minutes->high,
                100 * $off,
                Voice::metric()->say($case->source->inWords()),
            );
        }
        sort($offs);
        $rows[] = '';
        $count = count($offs);
        $rows[] = sprintf(
            '%d cooks: median %.1f %%, nine in ten within %.0f %%, worst %.0f %%. The band holds the middle of practice in %d of them (%.0f %%).',
            $count,
            100 * $offs[intdiv($count, 2)],
            100 * $offs[(int) floor(0.9 * ($count - 1))],
            100 * end($offs),
            $held,
            100 * $held / $count,
        );

        return $rows;
    }

    /** @return list<string> */
    private function leftOut(): array
    {
        $errors = Calibration::asShipped()->errors();
        $kinds = array_unique(array_column($errors, 'kind'));
        sort($kinds);
        $rows = [
            '| Heat | Cooks | Fitted: median | nine in ten | worst | held | Left out: median | nine in ten | worst | held |',
            '|---|---|---|---|---|---|---|---|---|---|',
        ];
        foreach ([...$kinds, null] as $kind) {
            $own = array_values(array_filter($errors, fn (array $one): bool => $kind === null || $one['kind'] === $kind));
            $rows[] = sprintf(
                '| %s | %d | %s | %s |',
                $kind === null ? 'all' : CookerShed::kind($kind)->short,
                count($own),
                self::offs($own, 'fitted'),
                self::offs($own, 'leftOut'),
            );
        }

        return $rows;
    }

    /**
     * @param  list<array{case: TradeCase, kind: string, fitted: float, leftOut: float}>  $errors
     * @param  'fitted'|'leftOut'  $which
     */
    private static function offs(array $errors, string $which): string
    {
        $offs = array_map(fn (array $one): float => 100.0 * abs(exp($one[$which]) - 1.0), $errors);
        sort($offs);
        $count = count($offs);
        $held = array_filter($errors, fn (array $one): bool => $one['case']->wouldHold($one[$which]));

        return sprintf(
            '%.1f %% | %.0f %% | %.0f %% | %d',
            $offs[intdiv($count, 2)], $offs[(int) floor(0.9 * ($count - 1))], $offs[$count - 1] ?? 0.0, count($held),
        );
    }

    /** @return list<string> */
    private function climbs(): array
    {
        $rows = ['| What | Practice, K | Model | Shown | Counted on |', '|---|---|---|---|---|'];
        foreach (TradeCase::rows('climbs') as $row) {
            $dish = TradeCase::dish($row['dish']);
            $climb = TradeCase::climbK($dish);
            $asked = TradeCase::dish(['coast' => true] + $row['dish'])->carryover();
            $rows[] = sprintf(
                '| %s | %s–%s | %.1f | %.1f | %.1f |',
                $row['what'],
                $row['climb_k'][0],
                $row['climb_k'][1],
                $climb,
                min($climb, $asked->climbK),
                min($climb, $asked->creditK),
            );
        }

        return $rows;
    }

    /** @return list<string> */
    private function fuel(): array
    {
        $rows = ['| What | Practice, kg | Computed | To have by |', '|---|---|---|---|'];
        foreach (TradeCase::rows('fuel') as $row) {
            $fire = TradeCase::fire($row['dish'], $row['fuel']);
            $rows[] = sprintf('| %s | %s–%s | %.0f | %.0f |', $row['what'], $row['kg'][0], $row['kg'][1], $fire->usedKg(), $fire->buyKg());
        }

        return $rows;
    }

    /** @return list<string> */
    private function vessels(): array
    {
        $rows = ['| What | Minutes | Water lost, g | Gap |', '|---|---|---|---|'];
        $bird = ['cut' => 'turkey', 'mass_kg' => 6.35, 'start_c' => 4, 'target_c' => 74];
        $dishes = [];
        foreach ([95, 121, 163] as $celsius) {
            $dishes["roaster at $celsius °C"] = $bird + ['stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => $celsius]]];
        }
        foreach (['dry', 'cold', 'wet'] as $ground) {
            $dishes["buried, $ground ground"] = [
                'cut' => 'turkey-breast',
                'mass_kg' => 2.95,
                'start_c' => 5,
                'target_c' => 74,
                'rig' => ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => $ground],
                'stages' => [['cooker' => 'camp-oven']],
            ];
        }
        foreach ($dishes as $what => $file) {
            $dish = TradeCase::dish($file);
            $cook = Cook::of($dish, 12.0, Resolution::fine(), Course::asPlanned());
            $cook->toPull(74.0);
            $rows[] = sprintf(
                '| %s | %.0f | %.0f | %.3f %% |',
                $what,
                $cook->body->elapsedS() / 60.0,
                1000.0 * $cook->body->driedKgM2() * $dish->surfaceM2(),
                100.0 * ($cook->vessel?->energyGap() ?? 0.0),
            );
        }

        return $rows;
    }

    /** @return list<string> */
    private function belief(): array
    {
        $rows = [
            '| Unread | Cooks | '.implode(' | ', array_map(fn (int $at): string => "at $at % held | off", BeliefTrial::AT)).' |',
            '|---|---|'.str_repeat('---|---|', count(BeliefTrial::AT)),
        ];
        $dishes = array_map(fn (array $dish): Dish => TradeCase::dish($dish + ['start_c' => 5, 'coast' => false]), [
            ['cut' => 'beef-rib', 'mass_kg' => 2.5, 'target_c' => 55, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150]]],
            ['cut' => 'lamb-leg', 'mass_kg' => 2.4, 'target_c' => 58, 'stages' => [['cooker' => 'oven', 'cooker_c' => 165]]],
            ['cut' => 'chicken', 'mass_kg' => 1.7, 'target_c' => 76, 'stages' => [['cooker' => 'gas', 'cooker_c' => 185]]],
            ['cut' => 'pork-shoulder', 'mass_kg' => 3.0, 'target_c' => 88, 'stages' => [['cooker' => 'pellet', 'cooker_c' => 121]]],
        ]);
        foreach ([
            'Nothing' => [false, false, false],
            'Probe off' => [true, false, false],
            'Cooker wanders' => [false, true, false],
            'Cooker falls' => [false, false, true],
            'All three' => [true, true, true],
        ] as $what => $unread) {
            $trial = BeliefTrial::of($dishes, self::TRIALS, 20_261_126, ...$unread);
            $rows[] = sprintf(
                '| %s | %d | %s |',
                $what,
                $trial->cooks,
                implode(
                    ' | ',
                    array_map(
                        fn (int $at): string => sprintf('%.0f %% | %.1f %%', 100 * $trial->held[$at], 100 * $trial->offs[$at]),
                        BeliefTrial::AT,
                    ),
                ),
            );
        }

        return $rows;
    }

    /** @return list<string> */
    private function foreign(): array
    {
        $rows = ['| Truth | At | Cooks | Held | Median | Nine in ten | Width | Line, median | Line, nine in ten |', '|---|---|---|---|---|---|---|---|---|'];
        $kinds = ['| Truth | Heat | Cooks | '.implode(' | ', array_map(fn (int $at): string => "at $at % held | off", ForeignTrial::AT)).' |', '|---|---|---|'.str_repeat('---|---|', count(ForeignTrial::AT))];
        foreach (['plain' => 'Plain body', 'logged' => 'Logged course', 'falls' => 'Logged, one fire in four falls'] as $truth => $name) {
            $trial = ForeignTrial::of($truth, self::EVERY_FOREIGN, 20_311_004);
            foreach ($trial->byKind() as $kind => [$cooks, $moments]) {
                $kinds[] = "| $name | $kind | $cooks | ".implode(' | ', array_map(fn (array $one): string => sprintf('%.0f %% | %.1f %%', 100.0 * $one[0], 100.0 * $one[1]), $moments)).' |';
            }
            foreach (ForeignTrial::AT as $at) {
                $percent = fn (float $share): string => sprintf('%.1f %%', 100.0 * $share);
                $rows[] = sprintf('| %s | %d %% | %d | %.0f %% | %s |', $name, $at, $trial->cooks, 100.0 * $trial->held[$at], implode(' | ', array_map($percent, [
                    ForeignTrial::quantile($trial->offs[$at], 0.5), ForeignTrial::quantile($trial->offs[$at], 0.9),
                    ForeignTrial::quantile($trial->widths[$at], 0.5),
                    ForeignTrial::quantile($trial->lines[$at], 0.5), ForeignTrial::quantile($trial->lines[$at], 0.9),
                ])));
            }
        }

        return [...$rows, '', 'By what heats it: share held, and median error.', '', ...$kinds];
    }

    /** @return list<string> */
    private function dinners(): array
    {
        $trial = DinnerTrial::of(1, 20_311_004);

        return [
            '| Cooks | Late | of them told | On time or told |', '|---|---|---|---|',
            sprintf('| %d | %d | %d | %.0f %% |', $trial->cooks, $trial->late, $trial->told, $trial->wellServed()),
        ];
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
        $dish = RoastFile::read(
            [
                'serve_at' => '2000-01-01T12:00:00Z',
                'dishes' => [
                    ['cut' => 'pork-rack', 'mass_kg' => 3, 'start_c' => 6, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150]]],
                ],
            ],
        )->dishes[0];
        $minutes = [];
        foreach ([Resolution::coarse(), Resolution::fine(), Resolution::of(40, 6.0), Resolution::of(80, 1.0)] as $resolution) {
            $cook = Cook::of($dish, 14.0, $resolution, Course::asPlanned());
            $cook->body->keepBooks();
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
