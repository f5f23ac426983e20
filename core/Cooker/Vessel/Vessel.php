<?php

declare(strict_types=1);

namespace Diatherm\Cooker\Vessel;

use Diatherm\Heat\Surroundings;
use Diatherm\Heat\Vapour;

/**
 * A closed pot with food in it, as three lumps: its wall, the air and vapour inside, and the liquid on its floor.
 *
 * The wall takes heat from outside and gives it to the food by the air and by radiation, to the liquid by contact, and to
 * the open. Vapour comes from the food and the liquid alone, as much as the heat that they get can drive off; it meets the
 * food again as dew or leaves past the lid. So a dry pot starts dry, and one with liquid ends near the boiling point.
 * It moves in pieces: what it offers is given as Surroundings, what the food took is told to `gave`.
 */
final class Vessel
{
    /**
     * Film between wall and air inside, natural convection, W/(m²·K). Source: Incropera & DeWitt, chapter 9: 4 to 8 in
     * closed spaces of this size.
     */
    private const FILM_WM2K = 6.0;

    /** Wall to liquid that lies on it, up to gentle boiling, W/(m²·K). Source: Incropera & DeWitt, chapters 9 and 10: some hundreds. */
    private const WET_FLOOR_WM2K = 250.0;

    /** Water near its boiling point. Source: steam tables, J/(kg·K). */
    private const WATER_J_KG_K = 4200.0;

    private float $liquidC;

    private float $liquidKg;

    /** Steam that boils off the liquid, kg/s. */
    private float $boilKgS = 0.0;

    /** Balance: heat that came in less what is stored or left, J. */
    private float $inJ = 0.0;

    private float $outJ = 0.0;

    /**
     * @param  float  $foodM2  surface of all that is in it
     * @param  float  $wallC  when the food goes in; what liquid lies there is as warm, up to the boil
     */
    public function __construct(
        public readonly VesselKind $kind,
        private Source $source,
        private readonly float $outsideC,
        private readonly float $boilingC,
        private readonly float $foodM2,
        private float $wallC,
    ) {
        $this->liquidC = min($boilingC, max(0.0, $wallC));
        $this->liquidKg = $kind->liquidKg;
    }

    /** The same pot with what is in it, warmed otherwise from here on. */
    public function warmedBy(Source $source): self
    {
        $other = clone $this;
        $other->source = $source;

        return $other;
    }

    public function __clone()
    {
        $this->source = clone $this->source;
    }

    public function wallC(): float
    {
        return $this->wallC;
    }

    public function liquidC(): float
    {
        return $this->liquidC;
    }

    public function liquidKg(): float
    {
        return $this->liquidKg;
    }

    /** What was read on it is what it has. */
    public function standsAt(float $wallC): void
    {
        $this->wallC = $wallC;
    }

    /** Air inside, between its walls and the food, °C. */
    public function airC(float $foodC): float
    {
        return ($this->kind->wallM2 * $this->wallC + $this->foodM2 * $foodC) / ($this->kind->wallM2 + $this->foodM2);
    }

    /**
     * What the food meets in it.
     *
     * @param  Surroundings  $there  of the same place with its walls at this temperature, aired
     * @param  float  $foodC  of the food's surface
     */
    public function around(Surroundings $there, float $foodC): Surroundings
    {
        $air = $this->airC($foodC);
        $film = $this->liquidFilm();
        $food = $there->evaporationWm2Pa / Vapour::LATENT_J_KG * $this->foodM2;
        $lets = $film + $this->kind->leakKgSPa;
        $supplied = $film * Vapour::saturationPa($this->liquidC) + $this->kind->leakKgSPa * $there->vapourPa + $this->boilKgS;
        $full = Vapour::saturationPa($this->boilingC);
        if ($supplied + $food * Vapour::saturationPa($foodC) >= ($food + $lets) * $full) {
            return $there->filledWith($air, $full);
        }

        return $there->closedIn($air, $supplied / $lets, $lets / ($food + $lets));
    }

    /**
     * So many seconds pass, in which the food took heat and gave water.
     *
     * @param  float  $dryJ  from the air and the walls, J
     * @param  float  $waterKg  that left the food as vapour, net; negative for dew
     * @param  float  $dripsKg  that ran off it
     */
    public function gave(float $seconds, float $dryJ, float $waterKg, float $dripsKg = 0.0): void
    {
        $kind = $this->kind;
        $toLiquid = $this->liquidKg > 1e-6 ? self::WET_FLOOR_WM2K * $kind->floorM2 : 0.0;
        $out = $kind->lossWK;
        // The wall, implicit in its own temperature.
        $storage = $kind->storageJK / $seconds;
        $given = $storage * $this->wallC + $toLiquid * $this->liquidC + $out * $this->outsideC - $dryJ / $seconds;
        $holds = $storage + $toLiquid + $out;
        $before = $this->wallC;
        [$this->wallC, $heat] = $this->source->warm($given, $holds, $seconds);
        $this->inJ += $heat * $seconds;
        $this->outJ += $dryJ + $seconds * ($out * ($this->wallC - $this->outsideC)) + $kind->storageJK * ($this->wallC - $before);

        $this->outJ += $seconds * $toLiquid * ($this->wallC - $this->liquidC);
        $this->liquidKg += max(0.0, -$waterKg) + $dripsKg;
        $this->boilKgS = $toLiquid > 0.0 ? $this->boiled($seconds, $toLiquid, $waterKg / $seconds) : 0.0;
    }

    /** Heat that came in and is neither stored, given on nor lost, as a share of it. */
    public function energyGap(): float
    {
        return abs($this->inJ - $this->outJ) / max(1.0, abs($this->inJ));
    }

    /** The liquid warms and gives off vapour; returns what boils, kg/s. */
    private function boiled(float $seconds, float $toLiquid, float $foodKgS): float
    {
        $film = $this->liquidFilm();
        $at = Vapour::saturationPa($this->liquidC);
        $inside = min(
            Vapour::saturationPa($this->boilingC),
            max(0.0, ($film * $at + $foodKgS + $this->boilKgS) / ($film + $this->kind->leakKgSPa)),
        );
        $leaves = min($film * ($at - $inside), $this->liquidKg / $seconds);
        $storage = self::WATER_J_KG_K * $this->liquidKg / $seconds;
        $next = ($storage * $this->liquidC + $toLiquid * $this->wallC - $leaves * Vapour::LATENT_J_KG) / ($storage + $toLiquid);
        $boils = min(
            max(0.0, $next - $this->boilingC) * ($storage + $toLiquid) / Vapour::LATENT_J_KG,
            max(0.0, $this->liquidKg / $seconds - $leaves),
        );
        $this->liquidC = min($this->boilingC, $next);
        $this->liquidKg = max(0.0, $this->liquidKg - $seconds * ($leaves + $boils));

        return $boils;
    }

    /** Liquid to vapour, kg/(s·Pa): the Lewis relation on its face. */
    private function liquidFilm(): float
    {
        return $this->liquidKg > 1e-6 ? Surroundings::LEWIS_K_PA * self::FILM_WM2K / Vapour::LATENT_J_KG * $this->kind->floorM2 : 0.0;
    }
}
