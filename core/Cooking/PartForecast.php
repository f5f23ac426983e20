<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Food\Part;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;

/** How one part of a whole animal fares in the heat that it gets. */
final readonly class PartForecast
{
    /** Records of its course that are kept. */
    private const RECORDS = 80;

    /** A part that gets no hotter than this in the time is not waited for longer, minutes past the pull. */
    private const FOLLOWED_MINUTES = 240.0;

    /**
     * @param  float|null  $minutesToTarget  null when it does not get there within four hours of the pull
     * @param  float  $atPullC  its core when the whole is pulled
     */
    private function __construct(
        public Part $part,
        public float $massKg,
        public float $halfThicknessM,
        public ?float $minutesToTarget,
        public float $atPullC,
        public bool $decides,
        public Trace $trace,
    ) {
    }

    /**
     * @param  array<string, float>  $heats  at each part over what the dish is reckoned with, by id; 1 where it is not named
     * @return list<self> one a part, empty for a dish that is one piece; the coldest at the pull decides
     */
    public static function all(Forecast $forecast, array $heats = []): array
    {
        $dish = $forecast->dish;
        $pull = $forecast->cookMinutes->likely;
        $rows = [];
        foreach (Part::of($dish->cut) as $part) {
            $cook = Cook::of(
                $dish,
                $forecast->airC,
                Resolution::coarse(),
                new Course(pulledS: 60.0 * ($pull + self::FOLLOWED_MINUTES)),
                Variation::of($heats[$part->id] ?? 1.0, $part->halfShare),
            );
            $trace = $cook->body->record(false);
            $cook->toPull($dish->targetC);
            $reached = $trace->reaches($dish->targetC);
            $rows[] = [$part, $reached === null ? null : $reached / 60.0, $trace->coreAt(60.0 * $pull), $trace];
        }
        $coldest = $rows === [] ? 0.0 : min(array_column($rows, 2));

        return array_map(fn (array $row): self => new self(
            $row[0], $row[0]->massShare * $dish->massKg, $row[0]->halfShare * $dish->shape()
                ->halfThicknessM, $row[1], $row[2], $row[2] === $coldest, $row[3]->thinned(self::RECORDS, [60.0 * $pull]),
        ), $rows);
    }
}
