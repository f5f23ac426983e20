<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The password as it is, and as it shall be. A visitor of the demo kitchen has none. */
final class ChangePasswordRequest extends FormRequest
{
    use OwnPassword;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['current' => $this->own(), 'password' => NewPassword::rules()];
    }
}
