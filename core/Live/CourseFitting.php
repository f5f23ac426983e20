<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** Tries courses of every shape at every pace worth trying, and says how well each meets the readings. */
final readonly class CourseFitting
{
    /** Paces that are tried first, roughly: even steps of the logarithm, and one shape in so many. */
    private const ROUGH_STEP = 0.1;

    private const QUICKEST = -10;

    private const SLOWEST = 14;

    private const ROUGH_SHAPES = 5;

    /** Roughly, each reading tells so much less; then so many paces are tried within so many deviations of what that leaves. */
    private const ROUGH_STRAIN = 4.0;

    private const FINE = 10;

    private const WITHIN = 2.4;

    private const LEAST_WITHIN = 0.03;

    /** Of the shapes, one in so many is tried with a cooker that has fallen. */
    private const FALLEN_SHAPES = 2;

    /** One cook in so many is off its plan by far more than the plan's own doubt. Against practice. */
    private const FAR_OFF = 0.03;

    private const FAR_OFF_PACE = 0.5;

    /** What is so much less likely than the best is left out (logarithm). */
    public const HOPELESS = 12.0;

    /**
     * @param  list<array{float, list<float>}>  $shapes  how likely (logarithm), and the share of the way by step
     * @param  list<Reading>  $readings  on the heat, in order of time
     * @param  list<float>  $readK  the same above the start
     * @param  list<array{float, float, float, float}>  $gains  of Drift
     * @param  float  $reachK  from the start to where it is there
     * @param  float  $lengthS  of the plan, left alone
     * @param  float  $doubt  of its logarithm, one deviation
     */
    public function __construct(
        private array $shapes,
        private array $readings,
        private array $readK,
        private array $gains,
        private float $reachK,
        private float $lengthS,
        private float $doubt,
    ) {
    }

    /**
     * @param  non-empty-list<CookClock>  $clocks  as logged, then fallen
     * @param  float  $odds  of a fall
     * @return array{list<CourseFit>, Surprise|null} and how far the newest reading is off what the others let expect
     */
    public function fits(array $clocks, float $odds): array
    {
        $fits = [];
        $surprise = null;
        foreach ($clocks as $c => $clock) {
            $likely = count($clocks) === 1 ? 0.0 : log($c === 0 ? 1.0 - $odds : $odds / (count($clocks) - 1));
            $rough = $this->tried($c, $clock, array_map(fn (int $k): float => self::ROUGH_STEP * $k, range(self::QUICKEST, self::SLOWEST)), self::ROUGH_SHAPES, $likely);
            $paces = self::worthTrying($rough);
            $surprise ??= $this->readings === [] ? null : Surprise::of($rough, $this->gains[count($this->gains) - 1][3]);
            array_push($fits, ...$this->tried($c, $clock, $paces, $c === 0 ? 1 : self::FALLEN_SHAPES, $likely + log($paces[1] - $paces[0])));
        }

        return [$fits, $surprise];
    }

    /**
     * @param  non-empty-list<float>  $paces  logarithms, even steps
     * @param  int  $oneIn  of so many shapes one is tried, and counts for all of them
     * @param  float  $likely  how likely the clock is (logarithm)
     * @return list<CourseFit>
     */
    private function tried(int $number, CookClock $clock, array $paces, int $oneIn, float $likely): array
    {
        // The likeliest first, so that what is hopeless is seen to be so.
        usort($paces, fn (float $a, float $b): int => abs($a) <=> abs($b));
        $best = -INF;
        $last = count($this->readings) - 1;
        $fits = [];
        foreach ($paces as $logPace) {
            $pace = exp($logPace);
            $at = array_map(fn (Reading $one): float => min(
                CourseShapes::STEPS - 1e-6,
                max(0.0, $clock->at($one->seconds, $pace)) / ($pace * $this->lengthS) / CourseShapes::PAST * CourseShapes::STEPS,
            ), $this->readings);
            $usual = $likely + log($oneIn) + $this->likely($logPace);
            for ($k = 0; $k < count($this->shapes); $k += $oneIn) {
                [$shape, $way] = $this->shapes[$k];
                $fit = $prior = $usual + $shape;
                $drift = $offset = $off = 0.0;
                foreach ($at as $j => $x) {
                    $i = (int) $x;
                    $before = $way[$i];
                    [$keeps, $toDrift, $toOffset, $precision] = $this->gains[$j];
                    $drift *= $keeps;
                    $off = $this->readK[$j] - $this->reachK * ($before + ($x - $i) * ($way[$i + 1] - $before)) - $drift - $offset;
                    $fit -= 0.5 * $off * $off * $precision;
                    // Of the newest reading it is known what each would have had it be.
                    if ($fit < $best - self::HOPELESS && $j < $last) {
                        continue 2;
                    }
                    $drift += $toDrift * $off;
                    $offset += $toOffset * $off;
                }
                $best = max($best, $fit);
                $fits[] = new CourseFit($fit, $prior, $k, $logPace, $number, $off);
            }
        }

        return $fits;
    }

    /** How likely a pace is beforehand (logarithm, up to what all share). */
    private function likely(float $logPace): float
    {
        return log(
            (1.0 - self::FAR_OFF) / $this->doubt * exp(-0.5 * ($logPace / $this->doubt) ** 2)
            + self::FAR_OFF / self::FAR_OFF_PACE * exp(-0.5 * ($logPace / self::FAR_OFF_PACE) ** 2),
        );
    }

    /**
     * @param  list<CourseFit>  $rough
     * @return non-empty-list<float> logarithms of the paces that are worth a closer look, even steps
     */
    private static function worthTrying(array $rough): array
    {
        $best = CourseFit::best($rough)->fit ?? 0.0;
        $sum = $mean = $square = 0.0;
        foreach ($rough as $one) {
            $weight = exp(($one->fit - $best) / self::ROUGH_STRAIN);
            $sum += $weight;
            $mean += $weight * $one->logPace;
            $square += $weight * $one->logPace ** 2;
        }
        $mean /= max(1e-300, $sum);
        $within = max(self::LEAST_WITHIN, self::WITHIN * sqrt(max(0.0, $square / max(1e-300, $sum) - $mean ** 2)));

        return array_map(fn (int $k): float => $mean + $within * $k / self::FINE, range(-self::FINE, self::FINE));
    }
}
