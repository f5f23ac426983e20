<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\Thermostat;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Message;
use Diatherm\Measure\Spread;

/** How one cooker is lit, laid, set and fed for a roast. Minutes count from the moment that its first dish goes on it. */
final readonly class FirePlan
{
    /** Bought beyond what is planned: wind, damp and a late guest. Common practice. */
    public const MARGIN = 1.3;

    /** Where nothing is added, of what is laid. Common practice. */
    private const SPARE_SHARE = 0.25;

    /** Nobody counts a hand more finely, s. Common practice. */
    private const SAME_HAND_S = 0.75;

    /** A wood fire that is smaller makes no coals to shovel, kg. Common practice. */
    private const LEAST_WOOD_KG = 6.0;

    /** Smoke wood goes on early, while the meat is cool: so much for each hour of the first three. Common practice. */
    public const SMOKE_KG_PER_HOUR = 0.08;

    private const SMOKE_HOURS = 3.0;

    /** No smoke wood is added in the last minutes. Common practice. */
    private const SMOKE_ENDS_MINUTES = 30.0;

    /**
     * @param  non-empty-list<FireStep>  $steps
     * @param  list<Pile>  $piles  as they lie at first
     * @param  list<array{float, Spread}>  $course  minutes and °C
     */
    public function __construct(
        public Stove $stove,
        public FireUse $use,
        public array $steps,
        public FireRun $run,
        public array $course,
        public array $piles,
        public Lent $lent,
    ) {
    }

    /** The last of its steps that has begun by a moment; the first before then. */
    public function stepAt(\DateTimeInterface $moment): FireStep
    {
        $minutes = ($moment->getTimestamp() - $this->use->startsAt->getTimestamp()) / 60.0;
        $step = $this->steps[0];
        foreach ($this->steps as $one) {
            $step = $one->fromMinutes <= $minutes ? $one : $step;
        }

        return $step;
    }

    /** What is laid and added over the whole cook, kg as bought. */
    public function usedKg(): float
    {
        return $this->stove->fuel === null ? 0.0 : max($this->litKg(), $this->stove->fuel->boughtKg($this->bedKg()));
    }

    /** What the first fire is lit with, kg as bought. */
    public function litKg(): float
    {
        $kg = $this->stove->fuel?->boughtKg($this->lent->from === null ? $this->run->startKg : $this->lent->topUpKg) ?? 0.0;

        return $this->count() !== null && $this->hasSecondFire() ? max(self::LEAST_WOOD_KG, $kg) : $kg;
    }

    /** Coals laid and added in all. */
    public function bedKg(): float
    {
        $laid = $this->lent->from === null ? $this->run->startKg : $this->lent->topUpKg;

        return $laid + array_sum(array_column($this->refuels(), 'kg'));
    }

    public function buyKg(): float
    {
        return $this->isFed() ? self::MARGIN * $this->feedKg() : $this->usedKg() + $this->inHandKg();
    }

    /** One refuel more than is likely to be laid on, kg as bought: a cook that runs late still has a fire. */
    public function inHandKg(): float
    {
        $refuels = array_column($this->refuels(), 'kg');

        return match (true) {
            $this->stove->fuel === null => 0.0,
            $refuels !== [] => $this->stove->fuel->boughtKg(max($refuels)),
            default => $this->lent->from === null ? $this->stove->fuel->boughtKg(self::SPARE_SHARE * $this->run->startKg) : 0.0,
        };
    }

    /** @return list<Refuel> none for a sear over what is left */
    public function refuels(): array
    {
        return $this->lent->from === null || $this->lent->isSame ? $this->run->refuels : [];
    }

    /** Gas or pellets that pass through in all. */
    public function feedKg(): float
    {
        return $this->feed() === null ? 0.0 : $this->run->energyJ / $this->feed()->heatingValueJKg();
    }

    /** What a knob or an auger feeds, where no one adds fuel by hand. */
    public function feed(): ?Fuel
    {
        $fuel = $this->stove->equipment->fuels()[0] ?? null;

        return $fuel !== null && in_array($fuel->use, ['gas', 'feed'], true) ? $fuel : null;
    }

    public function isFed(): bool
    {
        return $this->feed() !== null;
    }

    /** Smoke wood, where it is wished for: laid on early. */
    public function smokeKg(): float
    {
        return $this->stove->wish->smoke ? self::SMOKE_KG_PER_HOUR * min(self::SMOKE_HOURS, $this->use->untilMinutes / 60.0) : 0.0;
    }

    /** @return list<float> when it is laid on, minutes from the first dish going on: as that goes on, and again each hour */
    public function smokeMinutes(): array
    {
        return $this->smokeKg() <= 0.0 ? [] : array_values(array_filter(
            array_map(fn (int $hour): float => 60.0 * $hour, range(0, (int) self::SMOKE_HOURS - 1)),
            fn (float $minutes): bool => $minutes === 0.0 || $minutes < $this->use->untilMinutes - self::SMOKE_ENDS_MINUTES,
        ));
    }

    /** The same in a cook's measure; null for none. */
    public function smokeWords(): ?Message
    {
        [$chunks, $chips] = [Fuel::named('chunks'), Fuel::named('chips')];

        return $this->smokeKg() <= 0.0
            ? null
            : Message::of(
                'fire.smoke',
                chunks: $chunks->inWords(max((float) $chunks->pieceKg, $this->smokeKg())),
                chips: $chips->inWords(max((float) $chips->pieceKg, $this->smokeKg())),
            );
    }

    /** @return array{over: int, under: int}|null coals of a camp oven, on the lid and below; null for any other cooker */
    public function count(): ?array
    {
        $settings = $this->steps[0]->settings;

        return $this->stove->curve->mechanism instanceof CampOven && ! $this->use->buried
            ? ['over' => (int) $settings->get('over'), 'under' => (int) $settings->get('under')]
            : null;
    }

    /** So much in the bed by number: a camp oven's coals whatever it burns, briquettes anywhere; null where nobody counts. */
    public function pieces(float $kg): ?int
    {
        $fuel = $this->stove->fuel;

        return $fuel === null || $fuel->pieceKg !== null || $this->count() === null
            ? $fuel?->pieces($kg)
            : (int) round($kg / CampOvenCount::kgOfOne($fuel));
    }

    /** A cook's measure of so much in the bed: by number for a camp oven, whatever it burns. */
    public function measure(float $kg): Message
    {
        $fuel = $this->stove->fuel;

        return match (true) {
            $fuel === null => Message::of('fire.no_fuel'),
            $fuel->pieceKg === null && $this->count() !== null => Message::of('fire.coals', coals: (int) $this->pieces($kg)),
            default => $fuel->inWords($kg),
        };
    }

    /** Whether a fire out of the way makes the next coals. */
    public function hasSecondFire(): bool
    {
        return $this->stove->fuel?->isWood() === true && ($this->stove->equipment->hasSecondFire() || $this->count() !== null);
    }

    /** How far the temperature swings about what is set, to either side, K. */
    public function swingK(): float
    {
        $mechanism = $this->stove->curve->mechanism;

        return $mechanism instanceof Thermostat ? $mechanism->swingAtK($this->steps[0]->targetC) : 0.0;
    }

    /**
     * Seconds that a palm is held at the meat's height over the fresh fire: those that were asked for, unless coals that were laid by hand
     * give others. Null where the fire is not in the open.
     */
    public function handSeconds(): ?float
    {
        if (! $this->stove->equipment->isOpen()) {
            return null;
        }
        $asked = HandTest::secondsOfWall($this->steps[0]->targetC);
        $given = HandTest::secondsOfWall($this->steps[0]->steadyC->likely);

        return abs($given - $asked) < self::SAME_HAND_S ? $asked : $given;
    }

    /** What a vented cooker shows when its slots are closed in, on the way to its first heat; null for any other. */
    public function closeInC(): ?float
    {
        return $this->stove->equipment->isVented() ? ($this->run->closedInC ?? $this->steps[0]->targetC) : null;
    }

    /** Minutes before the first dish goes on at which its fire is lit, or what is lit already is seen to; below 0. */
    public function lightMinutes(): float
    {
        if ($this->lent->isSame) {
            return -$this->use->preheatMinutes - ($this->lent->topUpKg > 0.0 ? $this->stove->fuel->ashOverMinutes ?? 0.0 : 0.0);
        }

        return -$this->use->preheatMinutes - $this->stove->wish->lightMinutes($this->stove->equipment);
    }
}
