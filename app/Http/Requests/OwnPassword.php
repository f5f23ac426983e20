<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Words\Voice;
use Closure;
use Diatherm\Measure\Message;
use Illuminate\Support\Facades\Hash;

/** For what takes the cook's password once more. */
trait OwnPassword
{
    public function authorize(): bool
    {
        $cook = $this->user();

        return $cook instanceof User && $cook->demo_until === null;
    }

    /** @return list<mixed> */
    private function own(): array
    {
        return ['bail', 'required', 'string', function (string $attribute, mixed $value, Closure $fail): void {
            $cook = $this->user();
            $possible = is_string($value) && NewPassword::isPossible($value);
            if (! $cook instanceof User || ! $possible || ! Hash::check($value, $cook->password)) {
                $fail(Voice::ofTheReader()->say(Message::of('account.not_your_password')));
            }
        }];
    }
}
