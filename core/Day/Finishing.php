<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Roast\Roast;

/**
 * In which order the last things are done, so that a course is ready as one: what waits worst comes last. Counted back from the hour
 * of the course by as many pairs of hands as there are.
 */
final readonly class Finishing
{
    /** Sliced and covered on a warm dish, meat stays as it is; roots in their pan. Common practice. */
    private const SLICES_WAIT_MINUTES = 10.0;

    private const ROOTS_WAIT_MINUTES = 20.0;

    /**
     * @param  array<int, float>  $dishes  minutes before its course by which each is carved, by number
     * @param  array<int, float>  $sides  and by which each side is done, but for what is made ahead
     * @param  float  $wholeMinutes  of the longest course
     */
    private function __construct(
        public array $dishes,
        public array $sides,
        public float $wholeMinutes,
    ) {
    }

    public static function of(Roast $roast): self
    {
        /** @var array<int, list<array{bool, int, float, float}>> $courses side or not, number, patience and minutes of hands */
        $courses = [];
        foreach ($roast->dishes as $i => $dish) {
            $patience = $dish->cut->isPerishable() ? self::SLICES_WAIT_MINUTES : self::ROOTS_WAIT_MINUTES;
            $courses[$dish->course][] = [false, $i, $patience, Timing::carveMinutes($dish)];
        }
        foreach ($roast->sides as $i => $side) {
            if ($side->side->isMadeAhead() || $side->anchor !== null) {
                continue;
            }
            $courses[$side->course][] = [true, $i, $side->patienceMinutes(), $side->side->doneMinutes];
        }
        $before = [[], []];
        $whole = 0.0;
        foreach ($courses as $things) {
            // What waits is the time from the start of its own last work: the order that is latest by least is by the end of it.
            usort($things, fn (array $a, array $b): int => $a[2] + $a[3] <=> $b[2] + $b[3]);
            $free = array_fill(0, max(1, $roast->hands), 0.0);
            foreach ($things as [$isSide, $number, , $minutes]) {
                $hand = (int) array_search(min($free), $free, true);
                $before[(int) $isSide][$number] = $free[$hand];
                $free[$hand] += $minutes;
            }
            $whole = max($whole, ...$free);
        }

        return new self($before[0], $before[1], $whole);
    }
}
