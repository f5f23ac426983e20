<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Voice;
use Closure;
use Diatherm\Measure\Message;
use Diatherm\Measure\PlainText;
use Illuminate\Contracts\Validation\ValidationRule;

/** A line that shows as it was typed: no control characters, none that turn the direction of what follows. */
final class PlainLine implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && ! PlainText::isPlain($value, lines: false)) {
            $fail(Voice::ofTheReader()->say(Message::of('field.plain')));
        }
    }
}
