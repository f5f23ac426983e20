<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The kitchen and all that is in it go: that takes the password once more. */
final class LeaveRequest extends FormRequest
{
    use OwnPassword;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['password' => $this->own()];
    }
}
