<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Voice;
use Closure;
use Diatherm\Measure\Message;
use Illuminate\Contracts\Validation\ValidationRule;

/** A number from least to most. Unlike the framework's own rules it is at ease with 1e999, arrays and nonsense. */
final readonly class Finite implements ValidationRule
{
    public function __construct(
        private float $least,
        private float $most,
        private Message $says,
        private bool $whole = false,
    ) {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $number = is_int($value) || is_float($value) ? (float) $value : (is_string($value) && is_numeric($value) ? (float) $value : NAN);
        if (! is_finite($number) || $number < $this->least || $number > $this->most || ($this->whole && floor($number) !== $number)) {
            $fail(Voice::ofTheReader()->say($this->says));
        }
    }
}
