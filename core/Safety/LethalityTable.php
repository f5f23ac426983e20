<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** How long a core temperature has to be held for a stated reduction. Rows: data/lethality.json. */
final readonly class LethalityTable
{
    /** Reductions beyond this say no more than “plenty”; sums stop here. */
    public const MOST_LOG10 = 12.0;

    /**
     * @param  list<array{float, float}>  $rows °C and seconds, coolest first
     * @param  list<string>  $madeFor  ids of cuts, or kinds of meat
     */
    private function __construct(
        public string $name,
        public float $log10,
        private array $madeFor,
        private array $rows,
        public Source $source,
    ) {
    }

    /** @throws OutOfRange for a table that does not exist */
    public static function named(string $id): self
    {
        /** @var array<string, array{name: string, log10: float, made_for: list<string>, mark: string, citation: string,
         *   rows: list<array{float, float}>}> $tables
         */
        $tables = Table::named('lethality')['tables'];
        $table = $tables[$id] ?? throw OutOfRange::unknown('lethality_table', $id);

        return new self(
            $table['name'],
            $table['log10'],
            $table['made_for'],
            $table['rows'],
            Source::of(Mark::from($table['mark']), $table['citation']),
        );
    }

    /** Whether it was made for this cut or kind of meat, or only stands in for its own. */
    public function isMadeFor(string $cut, string $kind): bool
    {
        return in_array($cut, $this->madeFor, true) || in_array($kind, $this->madeFor, true);
    }

    /** Seconds at $coreC for the table's reduction; infinite below its first row, on the last line's slope above the last row. */
    public function seconds(float $coreC): float
    {
        if ($coreC < $this->rows[0][0]) {
            return INF;
        }
        $last = count($this->rows) - 1;
        $i = 0;
        while ($i < $last - 1 && $coreC > $this->rows[$i + 1][0]) {
            $i++;
        }
        [$c0, $s0] = $this->rows[$i];
        [$c1, $s1] = $this->rows[$i + 1];

        return $s0 * ($s1 / $s0) ** (($coreC - $c0) / ($c1 - $c0));
    }

    /**
     * Reduction gathered along a core's course, by the trapezoid rule.
     *
     * @param  list<float>  $seconds  rising
     * @param  list<float>  $coreC  as many
     * @return float log₁₀, 0 to MOST_LOG10
     */
    public function gathered(array $seconds, array $coreC): float
    {
        $sum = 0.0;
        $rateBefore = 0.0;
        foreach ($seconds as $i => $at) {
            $rate = $this->log10 / $this->seconds($coreC[$i]);
            if ($i > 0) {
                $sum += 0.5 * ($rate + $rateBefore) * ($at - $seconds[$i - 1]);
            }
            $rateBefore = $rate;
            if ($sum >= self::MOST_LOG10) {
                return self::MOST_LOG10;
            }
        }

        return $sum;
    }
}
