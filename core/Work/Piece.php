<?php

declare(strict_types=1);

namespace Diatherm\Work;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** A piece of work: hands are at it first, then it takes its time by itself. */
final readonly class Piece
{
    /**
     * @param  float  $leastMinutes  by itself, after the hands; $bestMinutes and $mostMinutes likewise
     */
    private function __construct(
        public string $id,
        public float $handsMinutes,
        public float $leastMinutes,
        public float $bestMinutes,
        public float $mostMinutes,
    ) {
    }

    /** @throws OutOfRange for minutes below 0 or out of order */
    public static function of(
        string $id,
        float $handsMinutes,
        float $leastMinutes = 0.0,
        ?float $bestMinutes = null,
        ?float $mostMinutes = null,
    ): self {
        OutOfRange::check('minutes', $handsMinutes, 0.0, INF, Unit::Minute);
        OutOfRange::check('minutes', $leastMinutes, 0.0, INF, Unit::Minute);
        $best = OutOfRange::check('minutes', $bestMinutes ?? $leastMinutes, $leastMinutes, INF, Unit::Minute);

        $most = OutOfRange::check('minutes', $mostMinutes ?? $best, $best, INF, Unit::Minute);

        return new self($id, $handsMinutes, $leastMinutes, $best, $most);
    }

    /** From its start until its end, at a share of the way from the least (0) to the best (1). */
    public function takesMinutes(float $share): float
    {
        return $this->handsMinutes + $this->leastMinutes + $share * ($this->bestMinutes - $this->leastMinutes);
    }
}
