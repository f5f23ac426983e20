<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Food\Cut;
use Diatherm\Food\Form;
use Diatherm\Food\Shape;

/** A joint or a side in a roast. */
final readonly class Dish
{
    /**
     * @param  int  $pieces  alike, each of $massKg
     * @param  float|null  $thicknessM  measured; null to go by mass
     * @param  float  $startC  all through when it goes on
     * @param  string|null  $taste  a taste of the cut, or null when a number was given
     * @param  float  $targetC  core when eaten
     * @param  bool  $coast  pulled early to climb to the target, or cooked to the number
     * @param  non-empty-list<Stage>  $stages
     */
    public function __construct(
        public string $name,
        public Cut $cut,
        public Form $form,
        public int $pieces,
        public float $massKg,
        public ?float $thicknessM,
        public ?float $girthM,
        public float $startC,
        public ?string $taste,
        public float $targetC,
        public bool $coast,
        public float $restMinutes,
        public array $stages,
    ) {
    }

    public function shape(): Shape
    {
        return $this->cut->shape->measured($this->massKg, $this->thicknessM, $this->girthM, $this->form->halfFactor);
    }

    public function lastStage(): Stage
    {
        return $this->stages[count($this->stages) - 1];
    }
}
