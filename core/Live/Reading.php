<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** A temperature that was read inside a dish, with its time and place. */
final readonly class Reading
{
    /** What any probe can show, °C. */
    private const LEAST_C = -30.0;

    private const MOST_C = 400.0;

    private function __construct(
        public string $id,
        public float $seconds,
        public string $place,
        public float $celsius,
        public bool $sure,
        public int $piece,
    ) {
    }

    /** Where the probe sat: readings of one spot follow each other. */
    public function spot(): string
    {
        return "$this->piece $this->place";
    }

    /** The same, taken for so much less, K; no less than a probe can show. */
    public function less(float $byK): self
    {
        return new self($this->id, $this->seconds, $this->place, max(self::LEAST_C, $this->celsius - $byK), $this->sure, $this->piece);
    }

    /**
     * @param  string  $id  stays with the reading
     * @param  float  $seconds  since the dish went on
     * @param  string  $place  where the probe sat; places are compared, the coldest decides
     * @param  float  $celsius  −30 to 400 °C: what any probe can show
     * @param  bool  $sure  whether the cook was asked about it and said that it is right
     * @param  int  $piece  of several alike: which one, from 1
     *
     * @throws OutOfRange
     */
    public static function of(string $id, float $seconds, string $place, float $celsius, bool $sure = false, int $piece = 1): self
    {
        return new self($id, $seconds, $place, OutOfRange::check('reading', $celsius, self::LEAST_C, self::MOST_C, Unit::Celsius), $sure, $piece);
    }
}
