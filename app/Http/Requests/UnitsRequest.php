<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The units that a cook reads in. */
final class UnitsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'temperature_unit' => ['sometimes', Rule::in(['c', 'f'])], 'mass_unit' => ['sometimes', Rule::in(['kg', 'lb'])],
            'clock_hours' => ['sometimes', 'integer', Rule::in([12, 24])],
        ];
    }
}
