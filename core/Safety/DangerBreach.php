<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;

/** One rule of the danger zone that a food's history breaks. */
final readonly class DangerBreach
{
    /**
     * @param  float  $atS  the moment at which the limit was passed, on the clock of the history
     * @param  Message  $fact  what happened against what is allowed
     * @param  bool  $isFatal  whether the food is not to be eaten; else it is a caution
     * @param  bool  $isServed  whether it happened after the last heat
     */
    public function __construct(
        public DangerRule $rule,
        public float $atS,
        public Message $fact,
        public bool $isFatal,
        public bool $isServed,
    ) {
    }

    /** What happened, and what that means for whoever eats it. */
    public function words(): Message
    {
        return Message::sentences($this->fact, Message::of($this->isFatal ? 'danger.not_to_be_eaten' : 'danger.whole_muscle'));
    }

    /** As a caution of a plan: what to change first, then why. */
    public function ofAPlan(): Caution
    {
        $remedy = $this->isServed && $this->rule === DangerRule::OutOfRefrigeration
            ? Message::of('danger.shorten_the_rest', hold: Quantity::celsius(Clocks::HOLD_C))
            : $this->rule->remedy();

        return new Caution($this->rule->value, Message::sentences($remedy, $this->words()), $this->rule->source(), $this->isFatal);
    }

    /** As a caution of a cook that is under way: what happened cannot be changed. */
    public function ofACook(): Caution
    {
        return new Caution($this->rule->value, $this->words(), $this->rule->source(), $this->isFatal);
    }
}
