<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ReadingPlace;
use Diatherm\Fire\HandTest;
use Illuminate\Validation\Rule;

final class ReadingRequest extends LogRequest
{
    private const MOST_IN_MEAT_C = 400.0;

    private const MOST_IN_A_COOKER_C = 700.0;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $cooker = $this->input('place') === ReadingPlace::Cooker->value;

        return $this->common(dish: true) + [
            'place' => ['bail', 'required', 'string', Rule::enum(ReadingPlace::class)],
            'celsius' => [
                'bail',
                'required_without:hand_s',
                'nullable',
                new Finite(
                    -30.0,
                    $cooker ? self::MOST_IN_A_COOKER_C : self::MOST_IN_MEAT_C,
                    $cooker ? 'A cooker’s thermometer reads from −30 °C to 700 °C.' : 'A probe reads from −30 °C to 400 °C.',
                ),
            ],
            'hand_s' => ['bail', 'nullable', Rule::prohibitedIf(! $cooker), new Finite(2.0, 60.0, 'A hand is held for 2 to 60 seconds.')],
            'sure' => ['bail', 'nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + [
            'celsius.required_without' => 'Give the temperature.',
            'hand_s.prohibited' => 'The hand tests a fire, not the meat.',
            'place.*' => 'Say where it was read: '.implode(', ', array_column(ReadingPlace::cases(), 'value')).'.',
            'sure.*' => 'Sure is true or false.',
        ];
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        return [
            'dish' => $this->integer('dish'),
            'at' => $this->moment(),
            'place' => ReadingPlace::from($this->string('place')->toString()),
            'celsius' => $this->filled('hand_s') ? round(HandTest::wallC($this->float('hand_s')), 1) : $this->float('celsius'),
            'sure' => $this->boolean('sure'),
        ];
    }
}
