<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Which roast a cooker learns from. */
final class LearnRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['roast' => ['bail', 'required', 'string', 'max:30']];
    }

    public function roastId(): string
    {
        return $this->string('roast')->toString();
    }
}
