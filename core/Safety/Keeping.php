<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;

/** A rule for what is on the table or left over. */
final readonly class Keeping
{
    private function __construct(
        public string $when,
        public string $then,
        public Source $source,
    ) {
    }

    /** @return list<self> */
    public static function rules(float $airC): array
    {
        $hot = $airC > Clocks::HEAT_C;

        return [
            new self(
                sprintf('Hot, at %.0f °C or more', Clocks::HOLD_C),
                'As long as it stays there.',
                Source::of(Mark::Published, 'FDA Food Code 2017, 3-501.16'),
            ),
            new self(
                sprintf('Out, for %.0f minutes', Clocks::allowedMinutes($airC)),
                sprintf(
                    'Between %.0f °C and %.0f °C%s; then it is thrown away.',
                    Clocks::COLD_C,
                    Clocks::HOT_C,
                    $hot ? sprintf(', since the air is over %.0f °C', Clocks::HEAT_C) : '',
                ),
                Clocks::source(),
            ),
            new self(
                'Cooled from 57 °C to 21 °C in two hours',
                'And to 5 °C in four more: in flat portions, lid off.',
                Source::of(Mark::Published, 'FDA Food Code 2017, 3-501.14'),
            ),
            new self(
                sprintf('Warmed again to %.0f °C', SafeMinimum::of('stuffing')->coreC),
                'All through.',
                Source::of(Mark::Published, 'USDA FSIS, Safe Minimum Internal Temperature Chart'),
            ),
        ];
    }
}
