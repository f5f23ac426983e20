<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Fire\BuriedBed;
use Diatherm\Food\Cut;
use Diatherm\Food\Form;
use Diatherm\Food\OrderOfWork;
use Diatherm\Food\Preparation;
use Diatherm\Food\PreparationWindow;
use Diatherm\Food\Shape;
use Diatherm\Heat\Substance;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\Rig;
use Diatherm\Safety\Carryover;
use Diatherm\Safety\FoodHazard;
use Diatherm\Safety\SafeMinimum;

/** A joint or a side in a roast. */
final readonly class Dish
{
    public const MOST_PIECES = 200;

    /** No sear is longer. Common practice. */
    private const SEAR_MINUTES = 10.0;

    /**
     * @param  int  $pieces  alike, each of $massKg
     * @param  float|null  $thicknessM  measured; null to go by mass
     * @param  float  $startC  all through when it goes on
     * @param  string|null  $taste  a taste of the cut, or null when a number was given
     * @param  float  $targetC  core when eaten
     * @param  bool|null  $coast  true: pulled early to climb to the target; false: cooked to the number; null: as the food
     *     allows (Safety\Carryover)
     * @param  float  $restMinutes  as asked for; leastRestMinutes() is what it gets
     * @param  non-empty-list<Stage>  $stages
     * @param  list<Preparation>  $preparations  as they were asked for, in the order of the work
     * @param  int  $course  in which it is served, the first is 1
     * @param  BuriedBed|null  $bed  the coals of a buried pot, whose heat fades; null while they are not laid
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
        public ?bool $coast,
        public float $restMinutes,
        public array $stages,
        public array $preparations = [],
        public ?Rig $rig = null,
        public int $course = 1,
        public ?BuriedBed $bed = null,
    ) {
    }

    /** @param  non-empty-list<Stage>  $stages */
    public function through(array $stages): self
    {
        return $this->changed(stages: $stages);
    }

    /** With the coals of its buried pot round it. */
    public function buriedIn(BuriedBed $bed): self
    {
        return $this->changed(bed: $bed);
    }

    public function unrigged(): self
    {
        return new self(
            $this->name, $this->cut, $this->form, $this->pieces, $this->massKg, $this->thicknessM, $this->girthM, $this->startC, $this->taste,
            $this->targetC, $this->coast, $this->restMinutes, $this->stages, $this->preparations, null, $this->course, $this->bed,
        );
    }

    /**
     * The same dish, another in what is given.
     *
     * @param  non-empty-list<Stage>|null  $stages
     * @param  list<Preparation>|null  $preparations
     */
    public function changed(
        ?array $stages = null,
        ?BuriedBed $bed = null,
        ?int $pieces = null,
        ?float $massKg = null,
        ?float $restMinutes = null,
        ?int $course = null,
        ?Rig $rig = null,
        ?float $startC = null,
        ?array $preparations = null,
    ): self {
        return new self(
            $this->name,
            $this->cut,
            $this->form,
            $pieces ?? $this->pieces,
            $massKg ?? $this->massKg,
            $this->thicknessM,
            $this->girthM,
            $startC ?? $this->startC,
            $this->taste,
            $this->targetC,
            $this->coast,
            $restMinutes ?? $this->restMinutes,
            $stages ?? $this->stages,
            $preparations ?? $this->preparations,
            $rig ?? $this->rig,
            $course ?? $this->course,
            $bed ?? $this->bed,
        );
    }

    public function shape(): Shape
    {
        $rule = $this->cut->shape;
        $shape = $this->form->round
            ? $rule->rolled($this->massKg, $this->thicknessM, $this->girthM, $this->form->halfFactor)
            : $rule->measured($this->massKg, $this->thicknessM, $this->girthM, $this->form->halfFactor);
        foreach ($this->preparations as $preparation) {
            $shape = $shape->scaled($preparation->halfFactor);
            $shape = $preparation->crowds ? $shape->crowded($this->pieces) : $shape;
        }

        return $shape;
    }

    /** What a tape reads or would likely read where it is thickest, m. */
    public function tapeM(): float
    {
        return $this->thicknessM ?? ($this->girthM !== null ? $this->girthM / M_PI : $this->cut->shape->usualThicknessM($this->massKg));
    }

    /**
     * All handwork before it goes on, in its order: what was asked for, what makes its form, and what makes the mixes for it.
     *
     * @return list<Preparation>
     */
    public function work(): array
    {
        $asked = array_column($this->preparations, 'id');
        $makesForm = array_filter(
            array_map(Preparation::named(...), $this->form->work),
            fn (Preparation $one): bool => $one->suits($this->cut) && ! in_array($one->id, $asked, true),
        );

        return OrderOfWork::withMixes(
            $makesForm === [] ? $this->preparations : OrderOfWork::of([...array_values($makesForm), ...$this->preparations]),
        );
    }

    /**
     * What a step by the clock takes: its minutes; of one that is chilled or rested, also the handwork that is done meanwhile, with which
     * it begins or the next one does.
     */
    public function stepMinutes(int $number): float
    {
        $stage = $this->stages[$number];
        $work = $this->isWorkedOnAsItRests($number) ? $stage->preparations : [];
        if ($stage->cooker->isRest() && ! $this->isWorkedOnAsItRests($number + 1)) {
            $work = [...$work, ...$this->stages[$number + 1]->preparations ?? []];
        }

        return (float) $stage->value + array_sum(array_map(fn (Preparation $one): float => $one->handworkMinutes(), $work));
    }

    /** Whether the handwork of a step is done once it has come off the heat, at the step's beginning, and not before it. */
    public function isWorkedOnAsItRests(int $number): bool
    {
        return isset($this->stages[$number]) && $this->stages[$number]->cooker->isRest()
            && $number > 0 && ! $this->stages[$number - 1]->cooker->isRest();
    }

    /** How long a preparation of it takes. */
    public function windowOf(Preparation $preparation): PreparationWindow
    {
        return $preparation->window($this->massKg, $this->shape()->halfThicknessM, $this->cut->kind);
    }

    /** The same dish, its target no hotter than so much where it was chosen by taste. */
    public function tastingAtMost(float $mostC): self
    {
        return $this->taste === null || $this->targetC <= $mostC ? $this : new self(
            $this->name, $this->cut, $this->form, $this->pieces, $this->massKg, $this->thicknessM, $this->girthM, $this->startC, $this->taste,
            $mostC, $this->coast, $this->restMinutes, $this->stages, $this->preparations, $this->rig, $this->course, $this->bed,
        );
    }

    /** Of one piece, as heat sees it, m². */
    public function surfaceM2(): float
    {
        $shape = $this->shape();

        return ($shape->exponent + 1.0) * $this->volumeM3() / $shape->halfThicknessM;
    }

    /** Of one piece, m³. */
    public function volumeM3(): float
    {
        return $this->massKg / Substance::from($this->cut->composition)->densityKgM3(5.0);
    }

    /** What one piece covers of a grate, m²: a plate lies on its face, a roll and a ball on less than their breadth. */
    public function groundM2(): float
    {
        $shape = $this->shape();

        return $this->volumeM3() * (1.0 + 0.25 * $shape->exponent) / (2.0 * $shape->halfThicknessM);
    }

    /** What was laid round the meat, m²K/W. */
    public function layerM2KW(): float
    {
        return $this->cut->fatLayerM / 0.2 + array_sum(
            array_map(fn (Preparation $preparation): float => $preparation->layerM2KW, $this->preparations),
        );
    }

    public function isSealed(): bool
    {
        return in_array(true, array_column($this->preparations, 'seals'), true);
    }

    public function isInFoil(): bool
    {
        return in_array(true, array_column($this->preparations, 'foil'), true);
    }

    public function isStuffed(): bool
    {
        return $this->form->filled || in_array(true, array_column($this->preparations, 'fills'), true);
    }

    /** Whether it has stuffing in its cavity. */
    public function hasStuffing(): bool
    {
        return in_array('stuff', array_column($this->preparations, 'id'), true);
    }

    /** The class of food that its coldest point belongs to, for the safe minimum: in a stuffed dish that is the stuffing. */
    public function safetyClass(): string
    {
        return $this->isStuffed() ? 'stuffing' : $this->cut->safetyClass;
    }

    /** Its safe minimum, with time at temperature only where there is a table for this animal. */
    public function safeMinimum(): SafeMinimum
    {
        return SafeMinimum::of($this->safetyClass())->countedFor($this->cut->id, $this->cut->kind);
    }

    /** What bacteria can do to it; null for roots. */
    public function hazard(): ?FoodHazard
    {
        return $this->cut->isPerishable() ? FoodHazard::of($this->safetyClass(), $this->isTurnedIn(), $this->targetC) : null;
    }

    /** What may be counted of its climb off the heat. */
    public function carryover(): Carryover
    {
        return Carryover::of($this->safetyClass(), $this->isBuried(), $this->coast, $this->mainStage()->cookerC, $this->shape()->halfThicknessM);
    }

    /** What its climb comes from: the last heat, but for a short sear after a longer cook, which warms the skin alone. */
    public function mainStage(): Stage
    {
        $heats = array_values(array_filter($this->stages, fn (Stage $stage): bool => ! $stage->cooker->isRest()));
        $last = $this->lastStage();
        $sear = $last->end->isTimed() && (float) $last->value <= self::SEAR_MINUTES ? ($heats[count($heats) - 2] ?? null) : null;

        return $sear ?? $last;
    }

    /** The rest that it gets: as asked for, but not less than belongs to its safe minimum. */
    public function leastRestMinutes(): float
    {
        return max($this->restMinutes, $this->safeMinimum()->holdMinutes);
    }

    /** In a pot under coals and earth, where nobody looks. */
    public function isBuried(): bool
    {
        return $this->rig instanceof PotRig && $this->rig->isBuried();
    }

    /** What was its outside lies in its middle, or was put there. */
    public function isTurnedIn(): bool
    {
        return $this->cut->rolled || $this->form->round || $this->isStuffed();
    }

    public function lastStage(): Stage
    {
        return $this->stages[count($this->stages) - 1];
    }
}
