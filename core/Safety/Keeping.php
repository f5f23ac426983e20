<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;

/** A rule for what is on the table or left over. */
final readonly class Keeping
{
    private function __construct(
        public Message $when,
        public Message $then,
        public Source $source,
    ) {
    }

    /** What is left of a joint that cools too slowly whole. */
    public static function cutUpFirst(string $dish, float $minutes): self
    {
        return new self(
            Message::of('keeping.left_whole', dish: $dish),
            Message::of(
                'keeping.cut_it_up_first',
                takes: Quantity::duration(30.0 * round($minutes / 30.0)),
                cool: Quantity::celsius(Clocks::COOLED_C),
                allowed: Quantity::duration(Clocks::COOLING_MINUTES),
                thick: Quantity::cm(DangerRule::FLAT_CM),
            ),
            DangerRule::Cooling->source(),
        );
    }

    /** @return list<self> */
    public static function rules(float $airC): array
    {
        $hot = $airC > Clocks::HEAT_C;

        return [
            new self(
                Message::of('keeping.hot_at_or_more', hold: Quantity::celsius(Clocks::HOLD_C)),
                Message::of('keeping.as_long_as_it_stays'),
                Source::of(Mark::Published, 'FDA Food Code 2017, 3-501.16'),
            ),
            new self(
                Message::of('keeping.out_for_minutes', allowed: Quantity::minutes(Clocks::allowedMinutes($airC))),
                Message::of(
                    $hot
                        ? 'keeping.between_since_hot'
                        : 'keeping.between',
                    cold: Quantity::celsius(Clocks::COLD_C),
                    hot: Quantity::celsius(Clocks::HOT_C),
                    air: Quantity::celsius(Clocks::HEAT_C),
                ),
                Clocks::source(),
            ),
            new self(
                Message::of('keeping.cooled', hot: Quantity::celsius(Clocks::HOLD_C), cool: Quantity::celsius(Clocks::COOLED_C)),
                Message::of('keeping.cooled_further', cold: Quantity::celsius(Clocks::COOLED_COLD_C)),
                Source::of(Mark::Published, 'FDA Food Code 2017, 3-501.14'),
            ),
            new self(
                Message::of('keeping.warmed_again', core: Quantity::celsius(SafeMinimum::of('stuffing')->coreC ?? Clocks::HOLD_C)),
                Message::of('keeping.all_through'),
                Source::of(Mark::Published, 'USDA FSIS, Safe Minimum Internal Temperature Chart'),
            ),
        ];
    }
}
