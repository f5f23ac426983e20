<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** One way that a cooker may have gone unread, and what readings make of the cook if it has. */
final readonly class Way
{
    /**
     * @param  float  $weight  how likely it is, 0 to 1
     * @param  array<int, float>  $expected  of the inputs beforehand, standard deviations from what was planned
     * @param  array<int, float>  $mean  of the inputs after the readings
     * @param  array<int, array<int, float>>  $covariance
     * @param  array<int, float>  $coreC  on the posterior's grid
     * @param  float  $fit  how well it fits the readings (log of the likelihood, up to what all ways share)
     */
    private function __construct(
        private float $odds,
        public float $weight,
        public array $expected,
        public array $mean,
        public array $covariance,
        public array $coreC,
        private float $fit,
    ) {
    }

    /** @param  array<int, float>  $expected */
    public static function expected(float $odds, array $expected): self
    {
        return new self($odds, $odds, $expected, $expected, [], [], 0.0);
    }

    /**
     * @param  array<int, float>  $mean
     * @param  array<int, array<int, float>>  $covariance
     * @param  array<int, float>  $coreC
     */
    public function settled(array $mean, array $covariance, array $coreC, float $fit): self
    {
        return new self($this->odds, $this->weight, $this->expected, $mean, $covariance, $coreC, $fit);
    }

    /**
     * @param  non-empty-list<self>  $ways
     * @return non-empty-list<self> each with how likely it is by how well it fits
     */
    public static function weighed(array $ways): array
    {
        $fits = array_map(fn (self $way): float => $way->fit + log($way->odds), $ways);
        $most = max($fits);
        $shares = array_map(fn (float $fit): float => exp($fit - $most), $fits);
        $all = array_sum($shares);

        return array_map(
            fn (self $way, float $share): self => new self(
                $way->odds,
                $share / $all,
                $way->expected,
                $way->mean,
                $way->covariance,
                $way->coreC,
                $way->fit,
            ),
            $ways,
            $shares,
        );
    }

    /**
     * As it was set, or every way that it may have fallen, whichever is likelier: what is shown as likely is never between the
     * two, where nobody expects it.
     *
     * @param  non-empty-list<self>  $ways  the first one as it was set
     * @return non-empty-list<self>
     */
    public static function likelier(array $ways): array
    {
        $fallen = array_slice($ways, 1);

        return $fallen === [] || $ways[0]->weight >= 0.5 ? [$ways[0]] : $fallen;
    }

    /**
     * @param  non-empty-list<self>  $ways
     * @return array<int, float> the inputs in the middle of them
     */
    public static function middle(array $ways): array
    {
        $all = array_sum(array_map(fn (self $way): float => $way->weight, $ways));
        $middle = array_fill(0, count($ways[0]->mean), 0.0);
        foreach ($ways as $way) {
            foreach ($way->mean as $k => $value) {
                $middle[$k] += $way->weight / $all * $value;
            }
        }

        return $middle;
    }
}
