<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\CookerShed;
use Diatherm\Food\Shape;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Roasting;
use Diatherm\Heat\Substance;
use Diatherm\Heat\Surroundings;

/** Takes one dish through its stages, once, with its uncertain inputs set to given values. */
final class Cook
{
    /** No dish is followed longer than this. */
    public const LONGEST_S = 36 * 3600.0;

    /** Fading coals are followed in straight pieces so long. */
    private const FADING_S = 600.0;

    /** A cooker that comes to another heat is followed in straight pieces so long. */
    private const SETTLING_S = 180.0;

    /** @var list<float> when each stage began, seconds since the dish went on */
    public array $stageStartsS = [];

    private function __construct(
        private readonly Dish $dish,
        private readonly Shape $shape,
        private readonly float $outsideC,
        private readonly float $transfer,
        private readonly Course $course,
        public readonly Roasting $body,
    ) {
    }

    /**
     * @param  float  $transfer  factor on the heat transfer
     * @param  float  $thickness  factor on the half-thickness
     * @param  float  $warmerK  added to the start temperature
     */
    public static function of(Dish $dish, float $outsideC, Resolution $resolution, Course $course, float $transfer = 1.0, float $thickness = 1.0, float $warmerK = 0.0): self
    {
        $shape = $dish->shape();
        $body = Roasting::of($shape->scaled($thickness), Substance::from($dish->cut->composition), $dish->startC + $warmerK, $resolution);

        return new self($dish, $shape, $outsideC, $transfer, $course, $body);
    }

    /**
     * Through all stages to the pull.
     *
     * @param  float  $pullC  core at which the last stage ends, when it ends with the pull
     * @return int|null the number of the stage that could not reach its core temperature, or null when all went well
     */
    public function toPull(float $pullC): ?int
    {
        foreach ($this->dish->stages as $i => $stage) {
            if (! $this->through($i, $stage, $pullC)) {
                return $i;
            }
        }

        return null;
    }

    /** On the board, loosely covered, for $seconds. */
    public function rest(float $seconds): void
    {
        $this->body->in(CookerShed::board($this->outsideC), $seconds);
    }

    private function through(int $number, Stage $stage, float $pullC): bool
    {
        $start = $this->body->elapsedS();
        $this->stageStartsS[] = $start;
        $last = ! isset($this->dish->stages[$number + 1]);
        $endedByHand = $last ? $this->course->pulledS : ($this->course->stageStarts[$number + 1] ?? null);
        if ($endedByHand !== null) {
            $this->span($stage, $start, $endedByHand, INF);

            return true;
        }
        if ($stage->end === StageEnd::Minutes) {
            $end = $start + 60.0 * (float) $stage->value;
            $this->span($stage, $start, $last ? max($end, $this->course->nowS) : $end, INF);

            return true;
        }
        $until = $stage->end === StageEnd::Core ? (float) $stage->value : $pullC;
        if ($last && $this->course->nowS > $start) {
            // Not pulled yet: it is still on, whatever the core has reached.
            $this->span($stage, $start, $this->course->nowS, INF);
        }

        return $this->span($stage, $start, $start + self::LONGEST_S, $until);
    }

    /** @return bool whether the core reached $untilC before $endS */
    private function span(Stage $stage, float $stageStartS, float $endS, float $untilC): bool
    {
        if ($this->body->coreC() >= $untilC) {
            return true;
        }
        $recovery = 60.0 * $stage->cooker->recoveryMinutes;
        $steady = null;
        while (($at = $this->body->elapsedS()) < $endS - 0.5) {
            $piece = $this->pieceS($stage, $at - $stageStartS);
            $next = min($endS, $at + $piece, $this->course->isEmpty() ? INF : $this->course->nextBend($at, $recovery));
            if ($this->course->isEmpty() && $piece === INF) {
                $from = $to = $steady ??= $this->setTo($stage, $stage->cookerC);
            } else {
                $inside = 0.5 * ($at + min($next, $at + 2.0));
                $from = $this->setTo($stage, $this->course->cookerC($at, $inside, $this->plannedC($stage, $at, $stageStartS), $stageStartS, $this->outsideC, $recovery));
                $to = $this->setTo($stage, $this->course->cookerC($next, $inside, $this->plannedC($stage, $next, $stageStartS), $stageStartS, $this->outsideC, $recovery));
            }
            if ($this->body->through($from, $to, $next - $at, $untilC)) {
                return true;
            }
        }

        return false;
    }

    /** How long the cooker's planned heat runs straight from here, s; INF when it no longer changes. */
    private function pieceS(Stage $stage, float $intoStageS): float
    {
        if ($this->dish->bed !== null && ! $stage->cooker->isRest()) {
            return self::FADING_S;
        }

        $left = $stage->settling === null ? 0.0 : 60.0 * $stage->settling->doneMinutes() - $intoStageS;

        return $left < 1.0 ? INF : min(self::SETTLING_S, $left);
    }

    private function plannedC(Stage $stage, float $atS, float $stageStartS): float
    {
        return $this->dish->bed !== null && ! $stage->cooker->isRest() ? $this->dish->bed->celsius($atS / 60.0) : $stage->heatC(($atS - $stageStartS) / 60.0);
    }

    private function setTo(Stage $stage, float $cookerC): Surroundings
    {
        $there = $stage->cooker->isRest()
            ? CookerShed::board($cookerC)
            : $stage->cooker->inside->surroundings($cookerC, $this->outsideC, $this->shape)->behind($this->dish->layerM2KW());
        if ($this->dish->isSealed()) {
            $there = $there->sealed($this->dish->isInFoil());
        }

        return $this->transfer === 1.0 ? $there : $there->stronger($this->transfer);
    }
}
