<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Fire\Pile;

/** What the cook wants of one kind of cooker's fire in a roast; null where the usual will do. */
final readonly class FireWish
{
    /**
     * @param  string  $kind  of the cooker
     * @param  string|null  $own  name of the cook's own cooker of that kind
     * @param  string|null  $layout  of the coals, or the method of a camp oven
     * @param  list<Pile>|null  $piles  coals that were moved by hand; their kilograms count as shares of what the fire takes
     * @param  bool  $steady  fed little and often, and not only when it is low; in the open
     */
    public function __construct(
        public string $kind,
        public ?string $own = null,
        public ?string $fuel = null,
        public ?string $layout = null,
        public ?array $piles = null,
        public bool $steady = false,
    ) {
    }
}
