<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Weather;

/** One occasion, with a serving hour. */
final readonly class Roast
{
    /** Names that the host may have for the gathering; empty when none was given. */
    public const LONGEST_NAME = 80;

    /** A light air, where nothing was said. Common practice. */
    public const USUAL_WIND_MS = 1.5;

    /** Pairs of hands that a kitchen has room for. */
    public const MOST_HANDS = 4;

    /** A first dish buys the roast so long. Common practice. */
    public const COURSE_MINUTES = 20.0;

    /**
     * @param  non-empty-list<Dish>  $dishes
     * @param  array<string, FireWish>  $fires  by kind of cooker
     * @param  list<SideDish>  $sides
     * @param  int  $hands  pairs of them
     * @param  float  $courseMinutes  from one course to the next
     * @param  int  $withoutMeat  how many of the people eat none
     */
    public function __construct(
        public string $name,
        public \DateTimeImmutable $serveAt,
        public int $people,
        public float $airC,
        public array $dishes,
        public ?Place $place = null,
        public ?string $darkAt = null,
        public float $windMs = self::USUAL_WIND_MS,
        public bool $rain = false,
        public float $altitudeM = 0.0,
        public array $fires = [],
        public array $sides = [],
        public int $hands = 1,
        public float $courseMinutes = self::COURSE_MINUTES,
        public int $withoutMeat = 0,
    ) {
    }

    /**
     * The same occasion, another in what is given.
     *
     * @param  non-empty-list<Dish>|null  $dishes
     * @param  array<string, FireWish>|null  $fires  by kind of cooker
     * @param  list<SideDish>|null  $sides
     */
    public function changed(
        ?array $dishes = null,
        ?\DateTimeImmutable $serveAt = null,
        ?int $people = null,
        ?float $windMs = null,
        ?bool $rain = null,
        ?array $fires = null,
        ?array $sides = null,
        ?float $courseMinutes = null,
        ?int $hands = null,
    ): self {
        return new self(
            $this->name,
            $serveAt ?? $this->serveAt,
            $people ?? $this->people,
            $this->airC,
            $dishes ?? $this->dishes,
            $this->place,
            $this->darkAt,
            $windMs ?? $this->windMs,
            $rain ?? $this->rain,
            $this->altitudeM,
            $fires ?? $this->fires,
            $sides ?? $this->sides,
            $hands ?? $this->hands,
            $courseMinutes ?? $this->courseMinutes,
            $this->withoutMeat,
        );
    }

    /** How many the meat is for. */
    public function eatMeat(): int
    {
        return $this->people - $this->withoutMeat;
    }

    /** With its sides on cookers that are there: one whose cooker no dish is on any more has a place of its own. */
    public function housed(): self
    {
        return $this->changed(sides: array_map(
            fn (SideDish $side): SideDish => $side->on === null || $this->isCookedOn($side->on) ? $side : $side->alone(),
            $this->sides,
        ));
    }

    /** Whether a dish is cooked on that kind of cooker, where a lid can be lifted. */
    public function isCookedOn(string $kind): bool
    {
        foreach ($this->dishes as $dish) {
            foreach ($dish->isBuried() ? [] : $dish->stages as $stage) {
                if ($stage->cooker->id === $kind && ! $stage->cooker->isRest()) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether two kinds are one cooker, laid or set in two ways; two that the cook calls by two names are two. */
    public function isOneCooker(string $kind, string $other): bool
    {
        [$own, $another] = [$this->fires[$kind]->own ?? null, $this->fires[$other]->own ?? null];

        if ($kind === $other) {
            return true;
        }
        $isNamedApart = $own !== null && $another !== null && $own !== $another;

        return ! $isNamedApart && CookerShed::kind($kind)->body === CookerShed::kind($other)->body;
    }

    /**
     * The kind whose fire a stage on that kind is cooked by. Food that goes over a cooker's fire, beside it and over it again, in whatever
     * order, has one fire at one side of it: the food is moved, and the fire stays. Common practice. Otherwise it is that kind's own.
     */
    public function fireOf(string $kind): string
    {
        $cooker = CookerShed::kind($kind);
        if (! $cooker->overFire || ! $this->isOneCooker($kind, $cooker->body)) {
            return $kind;
        }
        foreach ($this->dishes as $dish) {
            $moves = [];
            foreach ($dish->stages as $stage) {
                if (in_array($stage->cooker->id, [$kind, $cooker->body], true) && $stage->cooker->id !== end($moves)) {
                    $moves[] = $stage->cooker->id;
                }
            }
            if (count($moves) > 2) {
                return $cooker->body;
            }
        }

        return $kind;
    }

    /** When a course is on the table: the first at the serving hour. */
    public function tableAt(int $course): \DateTimeImmutable
    {
        return $this->serveAt->setTimestamp($this->serveAt->getTimestamp() + (int) round(60.0 * $this->courseMinutes * ($course - 1)));
    }

    /** Name of the table's time zone in the IANA list; null where its offset alone is known. */
    public function zone(): ?string
    {
        $zone = $this->serveAt->getTimezone()->getName();

        return str_contains($zone, ':') || $zone === 'Z' ? null : $zone;
    }

    public function weather(): Weather
    {
        return Weather::of($this->airC, $this->windMs, $this->rain, $this->altitudeM);
    }

    /**
     * When it gets dark on the day of the table: the hour that the cook named, else sunset where the table stands; null when
     * neither is known.
     */
    public function dark(): ?\DateTimeImmutable
    {
        if ($this->darkAt !== null) {
            [$hour, $minute] = array_map(intval(...), explode(':', $this->darkAt));

            return $this->serveAt->setTime($hour, $minute);
        }

        return $this->place?->sunset($this->serveAt);
    }
}
