<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\CookerShed;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** A cook of the trade, with the minutes that practice gives it; what the heat model is held against. Rows: data/practice-cases.json. */
final readonly class TradeCase
{
    private const ROOM_C = 20.0;

    private function __construct(
        public string $id,
        public string $what,
        public float $leastMinutes,
        public float $mostMinutes,
        public Dish $dish,
        public Source $source,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        /** @var list<array{id: string, what: string, cut: string, form: string, cooker: string, mass_kg: float, thickness_cm?: float, cooker_c?: float, hand_s?: float,
         *   start_c: float, core_c: float, minutes: array{float, float}, mark: string, citation?: string}> $rows
         */
        $rows = Table::named('practice-cases')['cases'];

        return array_map(fn (array $row): self => new self(
            $row['id'],
            $row['what'],
            $row['minutes'][0],
            $row['minutes'][1],
            RoastFile::read(['serve_at' => '2000-01-01T12:00:00Z', 'dishes' => [[
                'cut' => $row['cut'], 'form' => $row['form'], 'mass_kg' => $row['mass_kg'], 'thickness_cm' => $row['thickness_cm'] ?? null, 'start_c' => $row['start_c'], 'target_c' => $row['core_c'], 'coast' => false,
                'stages' => [['cooker' => $row['cooker'], 'cooker_c' => $row['cooker_c'] ?? (isset($row['hand_s']) ? HandTest::wallC($row['hand_s']) : CookerShed::kind($row['cooker'])->defaultC), 'pull' => true]],
            ]]])->dishes[0],
            Source::of(Mark::from($row['mark']), $row['citation'] ?? ''),
        ), $rows);
    }

    public function forecast(): Forecast
    {
        return Forecast::of($this->dish, self::ROOM_C);
    }

    /** How far the likely minutes lie from the middle of practice, as a share of it. */
    public function off(Forecast $forecast): float
    {
        return $forecast->cookMinutes->likely / (0.5 * ($this->leastMinutes + $this->mostMinutes)) - 1.0;
    }
}
