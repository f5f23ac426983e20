<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** What came between, and by how much. */
final readonly class Question
{
    public const LEAST_MINUTES = 5;

    public const MOST_MINUTES = 180;

    public const MOST_PEOPLE = 50;

    /**
     * @param  int  $minutes  that the guests are late
     * @param  int  $people  that come besides
     * @param  int  $dish  that another way is asked for
     * @param  string|null  $cooker  kind that has run out or is shared
     * @param  list<string>  $own  kinds of cooker that the cook owns
     */
    private function __construct(
        public Turn $turn,
        public int $minutes,
        public int $people,
        public int $dish,
        public ?string $cooker,
        public array $own,
    ) {
    }

    /**
     * @param  list<string>  $own
     *
     * @throws OutOfRange
     */
    public static function of(
        Turn $turn,
        int $minutes = 30,
        int $people = 1,
        int $dish = 0,
        ?string $cooker = null,
        array $own = [],
    ): self {
        OutOfRange::check(Message::of('ways.how_late'), $minutes, self::LEAST_MINUTES, self::MOST_MINUTES, Unit::Minute);
        OutOfRange::check(Message::of('ways.how_many_more'), $people, 1, self::MOST_PEOPLE, Unit::None);

        return new self($turn, $minutes, $people, max(0, $dish), $cooker, $own);
    }
}
