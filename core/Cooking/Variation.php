<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

/** How one run of a cook departs from what was planned: its uncertain inputs set to given values. */
final readonly class Variation
{
    /**
     * @param  float  $transfer  factor on the heat transfer
     * @param  float  $thickness  factor on the half-thickness
     * @param  float  $warmerK  added to the start temperature
     * @param  list<float>  $heat  factors on the cooker's rise over the open air, at even knots from when the dish went on;
     *     straight between them, the last one stays
     * @param  float  $knotS  from one knot to the next
     */
    private function __construct(
        public float $transfer,
        public float $thickness,
        public float $warmerK,
        public array $heat,
        public float $knotS,
    ) {
    }

    public static function none(): self
    {
        return new self(1.0, 1.0, 0.0, [], INF);
    }

    /** @param  list<float>  $heat */
    public static function of(float $transfer, float $thickness = 1.0, float $warmerK = 0.0, array $heat = [], float $knotS = INF): self
    {
        return new self($transfer, $thickness, $warmerK, $heat, $knotS);
    }

    /** The same joint on a cooker that does as it is set. */
    public function held(): self
    {
        return new self($this->transfer, $this->thickness, $this->warmerK, [], INF);
    }

    /** Factor on the cooker's rise at a moment. */
    public function heatAt(float $seconds): float
    {
        if ($this->heat === []) {
            return 1.0;
        }
        $at = max(0.0, $seconds) / $this->knotS;
        $i = (int) min(count($this->heat) - 1, floor($at));
        $next = $this->heat[$i + 1] ?? $this->heat[$i];

        return $this->heat[$i] + min(1.0, $at - $i) * ($next - $this->heat[$i]);
    }

    /** The first knot after a moment; INF when its heat no longer bends. */
    public function nextKnotS(float $afterS): float
    {
        $next = (floor($afterS / $this->knotS + 1e-6) + 1.0) * $this->knotS;

        return $this->heat === [] || $next > $this->knotS * (count($this->heat) - 1) + 1.0 ? INF : $next;
    }
}
