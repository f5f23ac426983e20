<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Why a number is what it is: its inputs, its rule and its source. */
final readonly class Working
{
    /** @param  list<Input>  $inputs  what went in */
    public function __construct(
        public string $of,
        public Message $rule,
        public array $inputs,
        public Source $source,
    ) {
    }
}
