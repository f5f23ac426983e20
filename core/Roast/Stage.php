<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\Settling;
use Diatherm\Fire\HandTest;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;

/** One step of a dish on one cooker at one heat. */
final readonly class Stage
{
    /**
     * @param  float|null  $value  minutes or °C, as $end says; null for a pull
     * @param  list<Chore>  $chores
     * @param  Wrapping|null  $wrap  what it is wrapped in; null for nothing
     * @param  list<Preparation>  $preparations  done to it as the step begins
     * @param  float  $laidM2KW  what those of this and earlier steps laid round it, m²K/W; $seals and $foil likewise
     * @param  Settling|null  $settling  from the heat of the step before on the same cooker; null when it is there at once
     * @param  Held|null  $held  what that cooker holds there; null where its fire was not looked at
     */
    public function __construct(
        public Cooker $cooker,
        public float $cookerC,
        public StageEnd $end,
        public ?float $value,
        public array $chores,
        public ?Settling $settling = null,
        public ?Wrapping $wrap = null,
        public ?Held $held = null,
        public array $preparations = [],
        public float $laidM2KW = 0.0,
        public bool $seals = false,
        public bool $foil = false,
    ) {
    }

    /** What the cooker has so many minutes into the step. */
    public function heatC(float $minutes): float
    {
        return $this->settling?->celsius($minutes) ?? $this->steadyC();
    }

    /** What it has in the end: what it was asked for, or as near as it comes. */
    public function steadyC(): float
    {
        return $this->held->celsius ?? $this->cookerC;
    }

    /** How well that is known, one in ten to either side, as a logarithm of the cooker's rise. */
    public function heatDoubt(): float
    {
        return $this->held->doubt ?? Held::AS_SET;
    }

    /** Its heat as a hand tells it, seconds that a palm is held at the meat; null where a dial or thermometer tells it. */
    public function handS(): ?float
    {
        return $this->cooker->isOpenFire() ? HandTest::secondsOfWall($this->cookerC) : null;
    }

    /**
     * Its heat as a roast's file has it.
     *
     * @return array<string, float> seconds of the hand where they tell the heat of an open fire to a hundredth of a kelvin, else degrees
     */
    public static function heatInFile(Cooker $cooker, float $celsius): array
    {
        $seconds = $cooker->isOpenFire() ? round(HandTest::secondsOfWall($celsius), 4) : null;

        return $seconds !== null && abs(HandTest::wallC($seconds) - $celsius) < 0.01 ? ['hand_s' => $seconds] : ['cooker_c' => $celsius];
    }

    /** Its heat in a cook's words. */
    public function heatInWords(): Message
    {
        return $this->handS() === null
            ? Message::of('words.figure', figure: Quantity::celsius($this->cookerC))
            : HandTest::inWords($this->handS());
    }

    /** The same step at another temperature. */
    public function heatedTo(float $cookerC): self
    {
        return $this->changed($this->cooker, $cookerC, $this->end, $this->value, $this->chores, null, null);
    }

    /** The same step, ended by the core alone. */
    public function onToTheCore(): self
    {
        return $this->changed($this->cooker, $this->cookerC, StageEnd::Pull, null, [], null, $this->held);
    }

    /** The same step with another end, that asks for no number. */
    public function until(StageEnd $end): self
    {
        return $this->changed($this->cooker, $this->cookerC, $end, null, $this->chores, $this->settling, $this->held);
    }

    /** The same step on another cooker of its kind, which comes to its heat like that. */
    public function cookedOn(Cooker $cooker, Held $held, ?Settling $settling = null): self
    {
        return $this->changed($cooker, $this->cookerC, $this->end, $this->value, $this->chores, $settling, $held);
    }

    /**
     * The same step after others, with what those laid round it.
     *
     * @param  list<Preparation>  $preparations  of this step and all before it
     */
    public function laidIn(array $preparations): self
    {
        return new self(
            $this->cooker, $this->cookerC, $this->end, $this->value, $this->chores, $this->settling, $this->wrap, $this->held,
            $this->preparations,
            array_sum(array_column($preparations, 'layerM2KW')),
            in_array(true, array_column($preparations, 'seals'), true),
            in_array(true, array_column($preparations, 'foil'), true),
        );
    }

    /** @param  list<Chore>  $chores */
    private function changed(Cooker $cooker, float $cookerC, StageEnd $end, ?float $value, array $chores, ?Settling $settling, ?Held $held): self
    {
        return new self(
            $cooker, $cookerC, $end, $value, $chores, $settling, $this->wrap, $held,
            $this->preparations, $this->laidM2KW, $this->seals, $this->foil,
        );
    }
}
