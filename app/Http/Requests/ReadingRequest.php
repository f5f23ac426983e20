<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Reading;
use Diatherm\Fire\HandTest;
use Illuminate\Validation\Rule;

final class ReadingRequest extends LogRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->common(dish: true) + [
            'place' => ['required', 'string', Rule::in(array_keys(Reading::PLACES))],
            'celsius' => ['required_without:hand_s', 'nullable', 'numeric', $this->input('place') === Reading::COOKER ? 'between:-30,700' : 'between:-30,400'],
            'hand_s' => ['nullable', 'numeric', 'between:2,60', Rule::prohibitedIf($this->input('place') !== Reading::COOKER)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + [
            'celsius.required_without' => 'Give the temperature.',
            'celsius.numeric' => 'The temperature must be a number.',
            'celsius.between' => 'A probe reads from −30 °C to 400 °C.',
            'hand_s.between' => 'A hand is held for 2 to 60 seconds.',
            'hand_s.prohibited' => 'The hand tests a fire, not the meat.',
            'place.in' => 'Say where it was read: '.implode(', ', array_keys(Reading::PLACES)).'.',
        ];
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        return ['dish' => $this->integer('dish'), 'at' => $this->moment(), 'place' => $this->string('place')->toString(), 'celsius' => $this->filled('hand_s') ? round(HandTest::wallC($this->float('hand_s')), 1) : $this->float('celsius')];
    }
}
