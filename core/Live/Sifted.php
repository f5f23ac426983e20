<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** Readings, told apart: what each is good for, and those that count. */
final readonly class Sifted
{
    /**
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     * @param  list<Reading>  $counting  in order of time, as they are taken for the core
     */
    public function __construct(
        public array $verdicts,
        public array $counting,
    ) {
    }
}
