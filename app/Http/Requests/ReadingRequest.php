<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Reading;
use Illuminate\Validation\Rule;

final class ReadingRequest extends LogRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->common(dish: true) + [
            'place' => ['required', 'string', Rule::in(array_keys(Reading::PLACES))],
            'celsius' => ['required', 'numeric', 'between:-30,400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + [
            'celsius.required' => 'Give the temperature.',
            'celsius.numeric' => 'The temperature must be a number.',
            'celsius.between' => 'A probe reads from −30 °C to 400 °C.',
            'place.in' => 'Say where it was read: '.implode(', ', array_keys(Reading::PLACES)).'.',
        ];
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        return ['dish' => $this->integer('dish'), 'at' => $this->moment(), 'place' => $this->string('place')->toString(), 'celsius' => $this->float('celsius')];
    }
}
