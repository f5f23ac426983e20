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

    /** Of a bird or a fish with stuffing in its cavity. Source: USDA FSIS, Turkey Basics: Stuffing. */
    private const FILLING = 'filling';

    /** Places that come to their number before the coldest one does: read alone they tell nothing of it. Common practice. */
    private const WARM = ['breast', 'saddle', 'thin_end', 'bone'];

    /** Thinner than this it has no ends that differ, m. */
    private const THIN_M = 0.02;

    /** Of more pieces than this so many tell of all: the thickest, and those that lie where it is coolest. Common practice. */
    private const PIECES_READ = 4;

    /** More pieces than this are not listed one by one. */
    private const PIECES_LISTED = 12;

    /** Ends that a fire should treat alike. */
    private const ENDS = [['leg', 'shoulder'], ['thick_end', 'thin_end']];

    /**
     * @param  non-empty-list<Spot>  $spots  of the piece that decides, in the order in which they are best read
     * @param  list<Spot>  $pieces  the coldest spot of each, by number; empty for a dish of one
     * @param  list<int>  $unread  pieces still to be read in a place that decides, before anything is known of the dish
     * @param  Spot  $next  where to look next
     * @param  Message|null  $uneven  what to do about a fire that heats one end more, or one piece
     */
    private function __construct(
        public array $spots,
        public array $pieces,
        public array $unread,
        public Spot $next,
        public ?Message $uneven,
    ) {
    }

    /** @return non-empty-list<string> places in which it is read */
    public static function places(Dish $dish): array
    {
        return $dish->hasStuffing() ? [self::FILLING, ...self::placesOfTheMeat($dish)] : self::placesOfTheMeat($dish);
    }

    /** @return non-empty-list<string> */
    private static function placesOfTheMeat(Dish $dish): array
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

    /** Whether a place comes to its number before the coldest one does: of a stuffed dish all but the middle of its filling. */
    public static function isWarm(Dish $dish, string $place): bool
    {
        return $dish->hasStuffing() ? ! in_array($place, [self::FILLING, 'core'], true) : in_array($place, self::WARM, true);
    }

    /**
     * Whether the filling of a stuffed dish was never read.
     *
     * @param  list<Reading>  $readings
     */
    public static function isFillingUnread(Dish $dish, array $readings): bool
    {
        return $dish->hasStuffing() && array_filter($readings, fn (Reading $one): bool => ! self::isWarm($dish, $one->place)) === [];
    }

    /**
     * Which pieces are still to be read in a place that decides before anything is known of the dish.
     *
     * @param  list<Reading>  $readings  in order of time
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     * @return list<int> numbers, from 1
     */
    public static function unread(Dish $dish, array $readings, array $verdicts, float $nowS): array
    {
        return self::unreadOf($dish, self::round($readings, $verdicts, $nowS));
    }

    /**
     * @param  list<Reading>  $readings  in order of time
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     * @param  bool  $movable  whether its coals can be moved along it
     */
    public static function of(Dish $dish, array $readings, array $verdicts, float $nowS, bool $movable): self
    {
        $last = self::round($readings, $verdicts, $nowS);
        $coldest = self::coldest($last);
        $piece = $coldest->piece ?? 1;
        $ofIt = [];
        foreach ($last as $reading) {
            if ($reading->piece === $piece) {
                $ofIt[$reading->place] = $reading;
            }
        }
        // What was read somewhere else as well is shown there.
        $places = array_values(array_unique([...self::places($dish), ...array_keys($ofIt)]));
        $spot = fn (string $place, int $piece, ?Reading $reading): Spot => new Spot(
            $place,
            $piece,
            $reading?->celsius,
            $reading === null ? null : $nowS - $reading->seconds,
            $reading !== null && $reading === $coldest,
        );
        $spots = array_map(fn (string $place): Spot => $spot($place, $piece, $ofIt[$place] ?? null), $places);
        $pieces = [];
        foreach ($dish->pieces > 1 ? range(1, $dish->pieces) : [] as $number) {
            $read = self::coldest(array_filter($last, fn (Reading $one): bool => $one->piece === $number));
            if ($number <= self::PIECES_LISTED || $read !== null) {
                $pieces[] = $spot($read->place ?? $places[0], $number, $read);
            }
        }
        $unread = self::unreadOf($dish, $last);
        $open = array_values(array_filter($spots, fn (Spot $one): bool => $one->celsius === null));
        $next = match (true) {
            $dish->pieces > 1 && $unread !== [] => $spot($places[0], $unread[0], null),
            $open !== [] => $open[0],
            default => $spot($coldest->place ?? $places[0], $piece, $coldest),
        };

        /** @var non-empty-list<Spot> $spots */
        return new self($spots, $pieces, $unread, $next, self::unevenEnds($ofIt, $movable) ?? self::unevenPieces($last));
    }

    /**
     * What was read in this round: the last of each spot.
     *
     * @param  list<Reading>  $readings  in order of time
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     * @return array<string, Reading>
     */
    private static function round(array $readings, array $verdicts, float $nowS): array
    {
        $last = [];
        foreach ($readings as $reading) {
            $isRead = in_array($verdicts[$reading->id] ?? Verdict::Counts, self::READ, true);
            if ($isRead && $nowS - $reading->seconds <= self::ROUND_S) {
                $last[$reading->spot()] = $reading;
            }
        }

        return $last;
    }

    /** @param  array<string, Reading>  $last */
    private static function coldest(array $last): ?Reading
    {
        $coldest = null;
        foreach ($last as $reading) {
            $coldest = $coldest === null || $reading->celsius < $coldest->celsius ? $reading : $coldest;
        }

        return $coldest;
    }

    /**
     * @param  array<string, Reading>  $last
     * @return list<int>
     */
    private static function unreadOf(Dish $dish, array $last): array
    {
        $read = [];
        foreach ($last as $reading) {
            if (! self::isWarm($dish, $reading->place)) {
                $read[$reading->piece] = true;
            }
        }
        $missing = max(0, min($dish->pieces, self::PIECES_READ) - count($read));

        return array_slice(array_values(array_diff(range(1, $dish->pieces), array_keys($read))), 0, $missing);
    }

    /** @param  array<string, Reading>  $last  of one piece, by place */
    private static function unevenEnds(array $last, bool $movable): ?Message
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

    /** @param  array<string, Reading>  $last */
    private static function unevenPieces(array $last): ?Message
    {
        $coldest = self::coldest($last);
        $warmest = null;
        foreach ($last as $reading) {
            $isAlike = $coldest !== null && $reading->place === $coldest->place && $reading->piece !== $coldest->piece;
            $warmest = $isAlike && ($warmest === null || $reading->celsius > $warmest->celsius) ? $reading : $warmest;
        }
        $by = $coldest === null || $warmest === null ? 0.0 : $warmest->celsius - $coldest->celsius;

        return $coldest === null || $warmest === null || $by < self::UNEVEN_K
            ? null
            : Message::of('probe_map.swap_them', warm: $warmest->piece, cold: $coldest->piece, by: Quantity::kelvin($by));
    }
}
