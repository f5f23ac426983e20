<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Food\Part;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;

/** Where a dish was read in one round of probing: which place decides, where to look next, and whether its fire is uneven. */
final readonly class ProbeMap
{
    /** Readings no further apart than this are of one round, s. Common practice. */
    private const ROUND_S = 900.0;

    /** What such a reading says of its own place is right. */
    private const READ = [Verdict::Counts, Verdict::LessAColder, Verdict::NotTheColdest, Verdict::SankSince];

    /** Two ends that differ by more are not heated alike, K. Common practice. */
    private const UNEVEN_K = 8.0;

    /** Of a bird, of a whole animal, of a joint: the place that is usually coldest first. Common practice. */
    private const BIRD = ['thigh', 'breast'];

    private const ANIMAL = ['leg', 'shoulder', 'saddle'];

    private const JOINT = ['core', 'thick_end', 'bone', 'thin_end'];

    private const BONELESS = ['core', 'thick_end', 'thin_end'];

    private const SLICE = ['core', 'thick_end'];

    /** Places that come to their number before the coldest one does: read alone they tell nothing of it. Common practice. */
    private const WARM = ['breast', 'saddle', 'thin_end', 'bone'];

    /** Thinner than this it has no ends that differ, m. */
    private const THIN_M = 0.02;

    /** Ends that a fire should treat alike. */
    private const ENDS = [['leg', 'shoulder'], ['thick_end', 'thin_end']];

    /**
     * @param  non-empty-list<Spot>  $spots  in the order in which they are best read
     * @param  string  $next  where to look next
     * @param  Message|null  $uneven  what to do about a fire that heats one end more
     */
    private function __construct(
        public array $spots,
        public string $next,
        public ?Message $uneven,
    ) {
    }

    /** @return non-empty-list<string> places in which it is read */
    public static function places(Dish $dish): array
    {
        return match (true) {
            Part::of($dish->cut) !== [] => self::ANIMAL,
            $dish->cut->kind === 'poultry' && ! str_contains($dish->cut->id, 'breast') && ! str_contains($dish->cut->id, 'legs') => self::BIRD,
            $dish->shape()->halfThicknessM < self::THIN_M => self::SLICE,
            $dish->cut->bone => self::JOINT,
            default => self::BONELESS,
        };
    }

    /** The place that is usually coldest: what it reads decides. */
    public static function decisive(Dish $dish): string
    {
        return self::places($dish)[0];
    }

    /**
     * Whether a place was read lately that is not one of the warm ones.
     *
     * @param  list<Reading>  $readings  in order of time
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     */
    public static function isDecided(array $readings, array $verdicts, float $nowS): bool
    {
        foreach ($readings as $reading) {
            $isRead = in_array($verdicts[$reading->id] ?? Verdict::Counts, self::READ, true) && $nowS - $reading->seconds <= self::ROUND_S;
            if ($isRead && ! in_array($reading->place, self::WARM, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Reading>  $readings  in order of time
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     * @param  bool  $movable  whether its coals can be moved along it
     */
    public static function of(Dish $dish, array $readings, array $verdicts, float $nowS, bool $movable): self
    {
        /** @var array<string, Reading> $last */
        $last = [];
        foreach ($readings as $reading) {
            $isRead = in_array($verdicts[$reading->id] ?? Verdict::Counts, self::READ, true);
            if ($isRead && $nowS - $reading->seconds <= self::ROUND_S) {
                $last[$reading->place] = $reading;
            }
        }
        $coldest = null;
        foreach ($last as $reading) {
            $coldest = $coldest === null || $reading->celsius < $coldest->celsius ? $reading : $coldest;
        }
        $places = self::places($dish);
        foreach (array_keys($last) as $place) {
            // What was read somewhere else as well is shown there.
            $places = in_array($place, $places, true) ? $places : [...$places, $place];
        }
        $spots = [];
        $next = $coldest->place ?? $places[0];
        foreach (array_reverse($places) as $place) {
            $reading = $last[$place] ?? null;
            array_unshift($spots, new Spot(
                $place,
                $reading?->celsius,
                $reading === null ? null : $nowS - $reading->seconds,
                $reading !== null && $reading === $coldest,
            ));
            $next = $reading === null ? $place : $next;
        }

        /** @var non-empty-list<Spot> $spots */
        return new self($spots, $next, self::uneven($last, $movable));
    }

    /** @param  array<string, Reading>  $last */
    private static function uneven(array $last, bool $movable): ?Message
    {
        foreach (self::ENDS as [$one, $other]) {
            $by = isset($last[$one], $last[$other]) ? $last[$one]->celsius - $last[$other]->celsius : 0.0;
            if (abs($by) >= self::UNEVEN_K) {
                [$warm, $cold] = $by > 0.0 ? [$one, $other] : [$other, $one];

                return Message::of(
                    $movable ? 'probe_map.move_coals' : 'probe_map.turn_it',
                    warm: Message::of("reading_place.$warm"),
                    cold: Message::of("reading_place.$cold"),
                    by: Quantity::kelvin(abs($by)),
                );
            }
        }

        return null;
    }
}
