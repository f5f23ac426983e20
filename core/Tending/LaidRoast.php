<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\OwnCooker;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/** A roast with its fires laid: as it was asked for, and its dishes with the heat that they really meet. Made by LaidFires. */
final readonly class LaidRoast
{
    /**
     * @param  non-empty-list<Dish>  $dishes  one for each that was asked for, in order
     * @param  list<array<string, float>>  $partHeats  one for each dish: heat at each part of an animal over the heat that decides, by id
     * @param  array<string, OwnCooker>  $yard  the cook's own cookers that it was laid on, by name
     */
    public function __construct(
        public Roast $asked,
        public array $dishes,
        public array $partHeats,
        public array $yard,
    ) {
    }
}
