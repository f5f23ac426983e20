<?php

declare(strict_types=1);

namespace Diatherm\Practice;

/** A course whose fire falls at some moment and stays there: from then on it goes at a share of its pace. */
final readonly class Slowed implements Truth
{
    public function __construct(
        private Truth $course,
        private float $fromS,
        private float $pace,
    ) {
    }

    /** When it is there that would have been there at a moment. */
    public function when(float $seconds): float
    {
        return $seconds <= $this->fromS ? $seconds : $this->fromS + ($seconds - $this->fromS) / $this->pace;
    }

    public function at(float $seconds, float $share): float
    {
        return $this->course->at($seconds <= $this->fromS ? $seconds : $this->fromS + $this->pace * ($seconds - $this->fromS), $share);
    }
}
