<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Why a number is what it is: its inputs, its rule and its source. */
final readonly class Working
{
    /** @param  array<string, string>  $inputs what went in, as label => figure with its unit */
    public function __construct(
        public string $of,
        public string $rule,
        public array $inputs,
        public Source $source,
    ) {
    }
}
