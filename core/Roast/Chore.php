<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Food\Mix;
use Diatherm\Measure\Message;

/** Something to do again and again during a stage. */
final readonly class Chore
{
    public const KINDS = ['baste', 'spray', 'turn', 'rotate', 'fuel', 'stock', 'stir', 'side', 'own'];

    /**
     * @param  value-of<self::KINDS>  $kind
     * @param  string  $words  of the cook's own, for a chore that has no kind
     * @param  Mix|null  $mix  what is brushed or sprayed on; null where nobody said
     * @param  float  $everyMinutes  0 for once
     * @param  float  $fromMinutes  into the stage; the first time
     */
    public function __construct(
        public string $kind,
        public float $everyMinutes,
        public float $fromMinutes,
        public string $words = '',
        public ?Mix $mix = null,
    ) {
    }

    public function inWords(): Message
    {
        return $this->kind === 'own' ? Message::of('words.text', text: $this->words) : Message::of('chore.'.$this->kind);
    }
}
