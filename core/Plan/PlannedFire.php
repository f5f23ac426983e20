<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooking\Forecast;
use Diatherm\Measure\Working;
use Diatherm\Safety\Caution;
use Diatherm\Tending\Banking;
use Diatherm\Tending\FireCautions;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\FloorView;

/** All that a plan says of one fire. */
final readonly class PlannedFire
{
    /**
     * @param  FloorView|null  $floor  the fire from above; null where there is none to see
     * @param  Banking|null  $banking  how coals are shared out along a long joint; null where nobody moves them
     * @param  list<Caution>  $cautions
     * @param  list<Working>  $workings
     */
    private function __construct(
        public FirePlan $plan,
        public ?FloorView $floor,
        public ?Banking $banking,
        public array $cautions,
        public array $workings,
    ) {
    }

    /** @param  Forecast  $forecast  of its first dish */
    public static function of(FirePlan $plan, Forecast $forecast): self
    {
        $banking = Banking::of($plan, $forecast);

        return new self($plan, FloorView::of($plan, $forecast), $banking, FireCautions::of($plan), FireExplanation::of($plan, $banking));
    }
}
