<?php

declare(strict_types=1);

namespace Diatherm\Food;

/** What was done to a cut's shape before it goes on. */
final readonly class Form
{
    /**
     * @param  list<string>  $kinds  of food that can be treated so
     * @param  bool  $round  rolled up, as thick as it is wide
     * @param  list<string>  $work  preparations that make it, where they suit the cut
     * @param  bool  $filled  with a filling inside: it is stuffing then
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $halfFactor,
        public array $kinds,
        public bool $round = false,
        public bool $filled = false,
        public array $work = [],
    ) {
    }
}
