<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Message;

/** Where a probe goes in: a place of a piece, and what was read there lately. */
final readonly class Spot
{
    /**
     * @param  string  $place  as a reading names it
     * @param  int  $piece  from 1
     * @param  float|null  $celsius  null where it was not read in this round
     * @param  bool  $decides  whether it is the coldest of those that were read
     */
    public function __construct(
        public string $place,
        public int $piece,
        public ?float $celsius,
        public ?float $secondsAgo,
        public bool $decides,
    ) {
    }

    /** @param  int  $pieces  how many there are of the dish: one alone has no number */
    public static function words(string $place, int $piece, int $pieces): Message
    {
        $words = Message::of("reading_place.$place");

        return $pieces > 1 ? Message::of('reading_place.of_piece', place: $words, piece: $piece) : $words;
    }
}
