<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;

/**
 * How much of the climb off the heat a plan may count on, and how much of it is shown. It holds whatever a heat model
 * says: climbs beyond these are not seen in practice.
 *
 * Common practice: 1 to 4 K after a fire of 125 °C or less, 3 to 6 K from a roaster or a closed grill, 5 to 8 K from a fierce
 * fire; 2 to 3 K for a fillet or another thin piece. The most that is shown is the top of these; what is counted on is their
 * middle, since who counts on the top is as
 * often short as not. Poultry, stuffed and minced dishes do harm a few kelvin short, and nobody sees into a buried pot:
 * nothing is counted there unless the cook asks.
 */
final readonly class Carryover
{
    /** Fires up to so hot, what is counted on and what is shown: °C, K, K. */
    private const AFTER = [[125.0, 2.5, 4.0], [200.0, 4.5, 6.0], [INF, 6.5, 8.0]];

    /** A piece whose middle is nearer to its surface than this holds too little heat to climb further than after a gentle fire, m. */
    private const THIN_M = 0.035;

    /** Classes of data/safe-minimums.json of which nothing is counted unless asked for. */
    private const DOUBTFUL = ['poultry', 'stuffing', 'ground'];

    /**
     * @param  float  $creditK  most that is counted when it is pulled early
     * @param  float  $climbK  most that is shown or judged by, whether counted or not
     * @param  bool  $wantsReading  whether it was asked for where nothing is usually counted: then it is read before carving
     */
    private function __construct(
        public float $creditK,
        public float $climbK,
        public bool $wantsReading,
    ) {
    }

    /**
     * @param  string  $class  of food at the coldest point, a row of data/safe-minimums.json
     * @param  bool  $unseen  in a buried pot
     * @param  bool|null  $asked  true: pull early; false: cook to the number; null: nothing was said
     * @param  float  $fireC  of the last fire that it is on
     * @param  float  $halfM  from its coldest point to its surface
     */
    public static function of(string $class, bool $unseen, ?bool $asked, float $fireC, float $halfM): self
    {
        $doubtful = $unseen || in_array($class, self::DOUBTFUL, true);
        [$credit, $climb] = self::after($halfM < self::THIN_M ? 0.0 : $fireC);

        return match (true) {
            $unseen, $doubtful && $asked !== true => new self(0.0, 0.0, false),
            $asked === false => new self(0.0, $climb, false),
            default => new self($credit, $climb, $doubtful),
        };
    }

    /** @return array{float, float} */
    private static function after(float $fireC): array
    {
        foreach (self::AFTER as [$upToC, $credit, $climb]) {
            if ($fireC <= $upToC) {
                return [$credit, $climb];
            }
        }

        return [0.0, 0.0];
    }

    /** Of a climb that has happened by the carving, at the slow end, what is counted, K. */
    public function credited(float $happenedK): float
    {
        return max(0.0, min($this->creditK, $happenedK));
    }

    public static function source(): Source
    {
        return Source::of(Mark::Common);
    }
}
