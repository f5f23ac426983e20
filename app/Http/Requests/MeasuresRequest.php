<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Illuminate\Foundation\Http\FormRequest;

/** What mixes are scaled to: the meat, the water and the guests. */
final class MeasuresRequest extends FormRequest
{
    /** A kilogram of meat, a litre of water, one guest. */
    public const ONE = ['per_kg' => 1.0, 'per_l' => 1.0, 'per_guest' => 1.0, 'parts' => 1000.0];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'mass_kg' => [
                'sometimes',
                'bail',
                new Finite(
                    0.01,
                    500.0,
                    Message::of('measures.the_meat_weighs', least: Quantity::kg(0.01, null), most: Quantity::kg(500.0)),
                ),
            ],
            'litres' => ['sometimes', 'bail', new Finite(0.01, 50.0, Message::of('measures.the_litres_are_from'))],
            'guests' => ['sometimes', 'bail', new Finite(1.0, 500.0, Message::of('measures.the_guests_are'), whole: true)],
        ];
    }

    /** @return array{per_kg: float, per_l: float, per_guest: float, parts: float} by what a mix is made for */
    public function measures(): array
    {
        return [
            'per_kg' => $this->float('mass_kg', 1.0),
            'per_l' => $this->float('litres', 1.0),
            'per_guest' => $this->float('guests', 1.0),
            'parts' => 1000.0 * $this->float('litres', 1.0),
        ];
    }
}
