<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Equipment;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;

/** What a cooker's thermometer may show with a dish on it; beyond that it is asked about before it counts. */
final readonly class CookerSense
{
    /** Under this share of the rise that it is set for, a closed cooker has gone out, or the core was read. Common practice. */
    private const LEAST_SHARE = 0.45;

    private const ABOVE_K = 120.0;

    private function __construct(
        public float $lowC,
        public float $highC,
    ) {
    }

    /** @return self|null null for a place without heat */
    public static function of(Dish $dish, string $kind, float $airC): ?self
    {
        $heats = array_map(
            fn (Stage $stage): float => $stage->cookerC,
            array_filter($dish->stages, fn (Stage $stage): bool => $stage->cooker->id === $kind),
        );
        $cooker = CookerShed::kind($kind);
        if ($heats === [] || $cooker->isRest()) {
            return null;
        }
        // In the open a thermometer shows anything between the air and the coals.
        $open = Equipment::has($kind) && Equipment::of($kind)->isOpen();
        $buried = $dish->isBuried();

        return new self(
            $open || $buried ? $airC - 5.0 : $airC + self::LEAST_SHARE * (min($heats) - $airC),
            $open || $buried ? 700.0 : max($cooker->mostC, max($heats)) + self::ABOVE_K,
        );
    }

    public function isOdd(float $celsius): bool
    {
        return $celsius < $this->lowC || $celsius > $this->highC;
    }
}
