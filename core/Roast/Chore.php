<?php

declare(strict_types=1);

namespace Diatherm\Roast;

/** Something to do again and again during a stage. */
final readonly class Chore
{
    /** id => words */
    public const KINDS = [
        'baste' => 'Baste',
        'spray' => 'Spray',
        'turn' => 'Turn it over',
        'rotate' => 'Quarter turn of cooker and lid',
        'fuel' => 'See to the fire',
        'stock' => 'Top up the pan',
        'stir' => 'Stir',
        'side' => 'Add the sides',
    ];

    /**
     * @param  key-of<self::KINDS>  $kind
     * @param  float  $everyMinutes  0 for once
     * @param  float  $fromMinutes  into the stage; the first time
     */
    public function __construct(
        public string $kind,
        public float $everyMinutes,
        public float $fromMinutes,
    ) {
    }
}
