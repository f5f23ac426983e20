<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;

/** A rule of the danger zone. The value is the id of its caution. */
enum DangerRule: string
{
    /** Pieces no thicker cool in time, cm. Common practice: shallow pans of two inches. */
    public const FLAT_CM = 5.0;

    case OutOfRefrigeration = 'out_of_refrigeration';
    case ComeUp = 'come_up';
    case PartCooked = 'part_cooked';
    case Cooling = 'cooling';
    case Reheating = 'reheating';
    case KeptRaw = 'kept_raw';

    public function source(): Source
    {
        return match ($this) {
            self::OutOfRefrigeration => Clocks::source(),
            self::ComeUp => Source::of(Mark::Memory, 'USDA FSIS, Appendix A: heating come-up time'),
            self::PartCooked => Source::of(Mark::Memory, 'FDA Food Code 2017, 3-401.14'),
            self::Cooling => Source::of(Mark::Published, 'FDA Food Code 2017, 3-501.14'),
            self::Reheating => Source::of(Mark::Memory, 'FDA Food Code 2017, 3-403.11'),
            self::KeptRaw => FoodHazard::rawSource(),
        };
    }

    /** What to change about a plan that breaks the rule. */
    public function remedy(): Message
    {
        return match ($this) {
            self::OutOfRefrigeration => Message::of('danger.leave_it_in_the_cold'),
            self::ComeUp => Message::of('danger.hotter_or_smaller'),
            self::PartCooked => Message::of('danger.cook_in_one_go'),
            self::Cooling => Message::of('danger.cut_it_up_first', thick: Quantity::cm(self::FLAT_CM)),
            self::Reheating => Message::of('danger.heat_it_hotter'),
            self::KeptRaw => Message::of('danger.salt_it_shorter'),
        };
    }
}
