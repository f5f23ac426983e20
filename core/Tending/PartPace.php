<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\Variation;
use Diatherm\Fire\HandTest;
use Diatherm\Heat\Resolution;
use Diatherm\Roast\Held;
use Diatherm\Roast\Stage;

/**
 * How long one part of a joint takes by the flux that it gets. It is cooked at several heats, each once and not before it is asked
 * about; between two of them its time goes as a power of the flux.
 */
final class PartPace
{
    /** Heats at which it is cooked, as shares of the flux that was aimed at. */
    private const HEATS = [0.45, 0.65, 0.8, 0.95, 1.15, 1.5, 2.4];

    /** The first that is tried, by its place among them. */
    private const TRIED_FIRST = 3;

    /** It asks for no more or less than so many times the outermost heats. */
    private const BEYOND = 3.0;

    /** It is not followed longer than this. */
    private const LONGEST_S = 20 * 3600.0;

    /** @var array<int, float> logarithm of the minutes at each heat that was tried */
    private array $took = [];

    /**
     * @param  float  $half  its half-thickness over that of the whole
     * @param  float  $aimedWm2  flux that the fire is laid for
     */
    public function __construct(
        private readonly Forecast $forecast,
        private readonly Cooker $cooker,
        private readonly float $half,
        private readonly float $aimedWm2,
    ) {
    }

    /** Minutes to the pull's core temperature at a flux. */
    public function minutesAt(float $fluxWm2): float
    {
        $x = log(max(1.0, $fluxWm2));
        $i = 0;
        while ($i < count(self::HEATS) - 2 && $x > $this->logFlux($i + 1)) {
            $i++;
        }
        [$x0, $x1] = [$this->logFlux($i), $this->logFlux($i + 1)];

        return exp($this->logMinutes($i) + ($x - $x0) / ($x1 - $x0) * ($this->logMinutes($i + 1) - $this->logMinutes($i)));
    }

    /** The flux at which it takes so many minutes, W/m²: inverse of `minutesAt`. */
    public function fluxFor(float $minutes): float
    {
        $y = log($minutes);
        $last = count(self::HEATS) - 1;
        // More heat, less time: from the middle to where the two next to each other hold it between them.
        $i = self::TRIED_FIRST;
        while ($i > 0 && $y >= $this->logMinutes($i)) {
            $i--;
        }
        while ($i < $last - 1 && $y < $this->logMinutes($i + 1)) {
            $i++;
        }
        [$y0, $y1] = [$this->logMinutes($i), $this->logMinutes($i + 1)];
        $x = $this->logFlux($i) + ($y - $y0) / min(-1e-9, $y1 - $y0) * ($this->logFlux($i + 1) - $this->logFlux($i));

        return exp(min(log(self::BEYOND) + $this->logFlux($last), max($this->logFlux(0) - log(self::BEYOND), $x)));
    }

    private function logFlux(int $heat): float
    {
        return log(self::HEATS[$heat] * $this->aimedWm2);
    }

    private function logMinutes(int $heat): float
    {
        return $this->took[$heat] ??= log(max(1.0, $this->cooked(HandTest::wallOfFluxC(self::HEATS[$heat] * $this->aimedWm2))));
    }

    private function cooked(float $celsius): float
    {
        $dish = $this->forecast->dish;
        $cook = Cook::of(
            $dish->through(
                array_map(
                    fn (Stage $stage): Stage => $stage->cooker->id === $this->cooker->id
                        ? $stage->cookedOn($this->cooker, Held::asSet())->heatedTo($celsius)
                        : $stage,
                    $dish->stages,
                ),
            ),
            $this->forecast->airC,
            Resolution::coarse(),
            new Course(pulledS: self::LONGEST_S),
            Variation::of(1.0, $this->half),
        );

        // One that never gets there is put as far off as its last warmth suggests, so that more coal still helps it.
        return $cook->toCore($this->forecast->pullC)
            ? $cook->body->elapsedS() / 60.0
            : self::LONGEST_S / 60.0 * ($this->forecast->pullC - $dish->startC) / max(1.0, $cook->body->coreC() - $dish->startC);
    }
}
