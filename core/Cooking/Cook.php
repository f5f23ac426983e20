<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Vessel\Buried;
use Diatherm\Cooker\Vessel\Element;
use Diatherm\Cooker\Vessel\SteadyCoals;
use Diatherm\Cooker\Vessel\Vessel;
use Diatherm\Food\Shape;
use Diatherm\Food\Tenderness;
use Diatherm\Heat\Constants;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Roasting;
use Diatherm\Heat\Substance;
use Diatherm\Heat\Surroundings;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;

/** Takes one dish through its stages, once, with its uncertain inputs set to given values. */
final class Cook
{
    /** No dish is followed longer than this. */
    public const LONGEST_S = 36 * 3600.0;

    /** What will never be there is followed so long, s. */
    private const HOPELESS_S = 6 * 3600.0;

    /** A tough cut is followed in pieces so long, to add up what each does. */
    private const TENDER_PIECE_S = 600.0;

    /** A cooker that comes to another heat is followed in straight pieces so long. */
    private const SETTLING_S = 180.0;

    /** A pot is followed in pieces from so long to so long, s. */
    private const FIRST_PIECE_S = 20.0;

    private const LONGEST_PIECE_S = 120.0;

    private const PIECE_GROWTH = 1.4;

    /** A camp oven goes on its coals as it is loaded: so much of the way to its heat it has when the food goes in. Common practice. */
    private const POT_WARMED = 0.5;

    /** So near to boiling a core takes for ever, K. */
    private const BELOW_BOILING_K = 0.5;

    /** The smoulder of a buried bed is uncertain by a factor of two where heat transfer is by a quarter: its power of that. */
    private const GLOW_BY_TRANSFER = 3.1;

    /** How many were begun in this process: what is computed once is counted. */
    public static int $begun = 0;

    private readonly bool $endsTender;

    /** Of what a tough cut takes to pull apart, done so far. */
    private float $tender = 0.0;

    /** The pot that it is in or was in last; null when it has been in none. */
    public ?Vessel $vessel = null;

    private ?Stage $vesselOf = null;

    /** When it came to lie on the board for its rest; null until then. */
    private ?float $offS = null;

    /** It is followed no further than this core temperature. */
    private float $stopC = INF;

    /** @var list<float> when each stage began, seconds since the dish went on */
    public array $stageStartsS = [];

    private function __construct(
        private readonly Dish $dish,
        private readonly Shape $shape,
        private readonly float $outsideC,
        private readonly Variation $as,
        private readonly Course $course,
        public readonly Roasting $body,
    ) {
        $this->endsTender = in_array(StageEnd::Tender, array_map(fn (Stage $stage): StageEnd => $stage->end, $dish->stages), true);
    }

    public static function of(Dish $dish, float $outsideC, Resolution $resolution, Course $course, ?Variation $as = null): self
    {
        self::$begun++;
        $as ??= Variation::none();
        $shape = $dish->shape();
        $body = Roasting::of(
            $shape->scaled($as->thickness),
            Substance::from($dish->cut->composition),
            $dish->startC + $as->warmerK,
            $resolution,
        );

        return new self($dish, $shape, $outsideC, $as, $course, $body);
    }

    /** The same cook so far, which goes on by itself. */
    public function fork(): self
    {
        $fork = new self($this->dish, $this->shape, $this->outsideC, $this->as, $this->course, clone $this->body);
        $fork->tender = $this->tender;
        $fork->vessel = $this->vessel === null ? null : clone $this->vessel;
        $fork->vesselOf = $this->vesselOf;
        $fork->offS = $this->offS;
        $fork->stopC = $this->stopC;
        $fork->stageStartsS = $this->stageStartsS;

        return $fork;
    }

    /**
     * Through all stages to the pull; from an earlier pull on to this one.
     *
     * @param  float  $pullC  core at which the last stage ends, when it ends with the pull
     * @return int|null the number of the stage that could not reach its core temperature, or null when all went well
     */
    public function toPull(float $pullC): ?int
    {
        foreach ($this->dish->stages as $i => $stage) {
            if (! isset($this->stageStartsS[$i + 1]) && ! $this->through($i, $stage, $pullC)) {
                return $i;
            }
        }

        return null;
    }

    /**
     * Through its stages until its core has so much, in whichever of them that is, or as long as its course has it on.
     *
     * @return bool whether it came to it
     */
    public function toCore(float $celsius): bool
    {
        $this->stopC = $celsius;
        foreach ($this->dish->stages as $i => $stage) {
            $this->through($i, $stage, $celsius);
            if ($this->body->coreC() >= $celsius) {
                return true;
            }
        }

        return false;
    }

    /** On the board, loosely covered, for $seconds, or for so much longer. */
    public function rest(float $seconds): void
    {
        $board = $this->wrapped(CookerShed::covered($this->outsideC), $this->dish->lastStage());
        $this->offS ??= $this->body->elapsedS();
        $closely = max(0.0, min($seconds, $this->offS + $this->body->evensOutS() - $this->body->elapsedS()));
        $this->body->in($board, $closely);
        $this->body->cool($board, $seconds - $closely);
    }

    private function through(int $number, Stage $stage, float $pullC): bool
    {
        if (! isset($this->stageStartsS[$number])) {
            $this->stageStartsS[] = $this->body->elapsedS();
        }
        $start = $this->stageStartsS[$number];
        $last = ! isset($this->dish->stages[$number + 1]);
        $endedByHand = $last ? $this->course->pulledS : ($this->course->stageStarts[$number + 1] ?? null);
        if ($endedByHand !== null) {
            $this->span($stage, $start, $endedByHand, INF);

            return true;
        }
        if ($stage->end->isTimed()) {
            $end = $start + 60.0 * $this->dish->stepMinutes($number);
            $this->span($stage, $start, $last ? max($end, $this->course->nowS) : $end, INF);

            return true;
        }
        if ($stage->end === StageEnd::Tender) {
            return $this->toTender($stage, $start, $last);
        }
        $until = $stage->end === StageEnd::Core ? (float) $stage->value : $pullC;
        // Hotter than boiling is only what has dried through, and that is no dish.
        $until = $until > $stage->cooker->inside->boilingC() - self::BELOW_BOILING_K ? INF : $until;
        if ($last && $this->course->nowS > $start) {
            // Not pulled yet: it is still on, whatever the core has reached.
            $this->span($stage, $start, $this->course->nowS, INF);
        }

        return $this->span($stage, $start, $start + ($until === INF ? self::HOPELESS_S : self::LONGEST_S), $until);
    }

    /**
     * On, in short pieces, until the hours at the core's temperatures add up to a cut that pulls apart.
     *
     * @return bool whether they did within what is followed
     */
    private function toTender(Stage $stage, float $startS, bool $last): bool
    {
        if ($last && $this->course->nowS > $this->body->elapsedS()) {
            // Not pulled yet: it is still on, however tender it is.
            $this->span($stage, $startS, $this->course->nowS, INF);
        }
        while ($this->tender < 1.0 && $this->body->elapsedS() < $startS + self::LONGEST_S) {
            $this->span($stage, $startS, $this->body->elapsedS() + self::TENDER_PIECE_S, INF);
        }

        return $this->tender >= 1.0;
    }

    /** @return bool whether the core reached $untilC before $endS */
    private function span(Stage $stage, float $stageStartS, float $endS, float $untilC): bool
    {
        $untilC = min($untilC, $this->stopC);
        if ($this->body->coreC() >= $untilC) {
            return true;
        }
        $recovery = 60.0 * $stage->cooker->recoveryMinutes;
        if ($stage->cooker->vessel !== null) {
            return $this->inVessel($stage, $stageStartS, $endS, $untilC, $recovery);
        }
        $steady = null;
        while (($at = $this->body->elapsedS()) < $endS - 0.5) {
            $piece = $this->pieceS($stage, $at - $stageStartS);
            $next = min(
                $endS,
                $at + $piece,
                $this->course->isEmpty() ? INF : $this->course->nextBend($at, $recovery),
                $this->as->nextKnotS($at),
            );
            if ($this->course->isEmpty() && $piece === INF && $this->as->heat === []) {
                $from = $to = $steady ??= $this->setTo($stage, $stage->steadyC());
            } else {
                $inside = 0.5 * ($at + min($next, $at + 2.0));
                $from = $this->setTo(
                    $stage,
                    $this->heated(
                        $at,
                        $stage,
                        $this->course->cookerC(
                            $at,
                            $inside,
                            $stage->heatC(($at - $stageStartS) / 60.0),
                            $stageStartS,
                            $this->outsideC,
                            $recovery,
                        ),
                    ),
                );
                $to = $this->setTo(
                    $stage,
                    $this->heated(
                        $next,
                        $stage,
                        $this->course->cookerC(
                            $next,
                            $inside,
                            $stage->heatC(($next - $stageStartS) / 60.0),
                            $stageStartS,
                            $this->outsideC,
                            $recovery,
                        ),
                    ),
                );
            }
            $coreC = $this->body->coreC();
            $reached = $this->body->through($from, $to, $next - $at, $untilC);
            $this->softens($coreC, $this->body->elapsedS() - $at);
            if ($reached) {
                return true;
            }
        }

        return false;
    }

    /**
     * In a closed pot, whose air and vapour the food makes with it: in short pieces, each in what the one before left there.
     *
     * @return bool whether the core reached $untilC before $endS
     */
    private function inVessel(Stage $stage, float $stageStartS, float $endS, float $untilC, float $recoveryS): bool
    {
        $vessel = $this->vessel($stage);
        $areaM2 = $this->dish->pieces * $this->dish->surfaceM2();
        $piece = self::FIRST_PIECE_S;
        while (($at = $this->body->elapsedS()) < $endS - 0.5) {
            $next = min($endS, $at + $piece, $this->course->isEmpty() ? INF : $this->course->nextBend($at, $recoveryS));
            $piece = min(self::LONGEST_PIECE_S, $piece * self::PIECE_GROWTH);
            $read = $this->course->readC($at, $stageStartS);
            if ($read !== null) {
                $vessel->standsAt($read);
            }
            $there = $stage->cooker->inside->surroundings($vessel->wallC(), $this->outsideC, $this->shape);
            $closed = $this->course->closedShare($at, 0.5 * ($at + min($next, $at + 2.0)), $recoveryS);
            $there = $closed < 1.0
                ? $stage->cooker->inside->surroundings(
                    $this->outsideC + $closed * ($vessel->wallC() - $this->outsideC),
                    $this->outsideC,
                    $this->shape,
                )
                : $vessel->around($there, $this->body->surfaceC());
            $there = $this->wrapped($there, $stage);
            $coreC = $this->body->coreC();
            [$took, $gave, $yielded] = [$this->body->tookJM2(), $this->body->driedKgM2(), $this->body->yieldedShare()];
            $reached = $this->body->in($this->exchanging($there, $this->as->heatAt($at)), $next - $at, $untilC);
            $passed = $this->body->elapsedS() - $at;
            if ($passed > 0.0) {
                $drips = Constants::read()->drips * $this->dish->pieces * $this->dish->massKg * max(0.0, $this->body->yieldedShare() - $yielded);
                $vessel->gave($passed, $areaM2 * ($this->body->tookJM2() - $took), $areaM2 * ($this->body->driedKgM2() - $gave), $drips);
            }
            $this->softens($coreC, $passed);
            if ($reached) {
                return true;
            }
        }

        return false;
    }

    private function softens(float $fromC, float $seconds): void
    {
        if ($this->dish->cut->tough) {
            $this->tender += $seconds / 3600.0 / Tenderness::hours(0.5 * ($fromC + $this->body->coreC()));
        }
    }

    /** The pot of this step as it stands: the same one, with what is in it, when the step before was in it too. */
    private function vessel(Stage $stage): Vessel
    {
        if ($this->vessel !== null && $this->vesselOf === $stage) {
            return $this->vessel;
        }
        assert($stage->cooker->vessel !== null);
        $before = $this->vesselOf;
        $this->vesselOf = $stage;
        $bed = $stage->cooker->vessel->takesCoals() ? $this->dish->bed : null;
        $pot = $stage->cooker->vessel->takesCoals() && $this->dish->rig instanceof PotRig ? $this->dish->rig->pot : null;
        $kind = $pot === null ? $stage->cooker->vessel : $stage->cooker->vessel->wide($pot->diameterM);
        $kind = $bed === null ? $kind : $kind->buried();
        $source = match (true) {
            $bed !== null => new Buried($bed, $this->as->transfer ** self::GLOW_BY_TRANSFER),
            $kind->mostW !== null => new Element($stage->steadyC(), $kind->mostW),
            default => new SteadyCoals($kind->lossWK * ($stage->steadyC() - $this->outsideC)),
        };
        if ($this->vessel !== null && $before?->cooker->id === $stage->cooker->id) {
            return $this->vessel = $this->vessel->warmedBy($source);
        }
        $warmed = match (true) {
            $bed !== null => 0.0,
            $kind->mostW === null => self::POT_WARMED,
            default => 1.0,
        };

        return $this->vessel = new Vessel(
            $kind,
            $source,
            $this->outsideC,
            $stage->cooker->inside->boilingC(),
            $this->dish->pieces * $this->dish->surfaceM2(),
            $this->outsideC + $warmed * ($stage->steadyC() - $this->outsideC),
        );
    }

    /** How long the cooker's planned heat runs straight from here, s; INF when it no longer changes. */
    private function pieceS(Stage $stage, float $intoStageS): float
    {
        $left = $stage->settling === null ? 0.0 : 60.0 * $stage->settling->doneMinutes() - $intoStageS;

        return $left < 1.0 ? ($this->endsTender ? self::TENDER_PIECE_S : INF) : min(self::SETTLING_S, $left);
    }

    private function setTo(Stage $stage, float $cookerC): Surroundings
    {
        $there = $this->wrapped(
            $stage->cooker->isRest()
                ? CookerShed::covered($cookerC)
                : $stage->cooker->inside->facing($this->dish->cut->facing)->turning(0.5 * $this->dish->tapeM())
                    ->surroundings($cookerC, $this->outsideC, $this->shape),
            $stage,
        );

        return $this->exchanging($there, 1.0);
    }

    /** As heat passes in this run; in a pot a hotter or cooler fire tells by how much passes. */
    private function exchanging(Surroundings $there, float $heat): Surroundings
    {
        $factor = $this->as->transfer * $heat;

        return $factor === 1.0 ? $there : $there->stronger($factor);
    }

    /** What the cooker has in this run. */
    private function heated(float $atS, Stage $stage, float $celsius): float
    {
        return $stage->cooker->isRest() ? $celsius : $this->outsideC + $this->as->heatAt($atS) * ($celsius - $this->outsideC);
    }

    /** What the meat meets through its skin and what was laid round it. */
    private function wrapped(Surroundings $there, Stage $stage): Surroundings
    {
        $there = $there->throughSkin($this->dish->cut->wetShare)->behind($this->dish->layerM2KW() + $stage->laidM2KW);
        $sealed = $this->dish->isSealed() || $stage->seals;
        $there = $sealed ? $there->sealed($this->dish->isInFoil() || $stage->foil) : $there;

        return $stage->wrap?->round($there) ?? $there;
    }
}
