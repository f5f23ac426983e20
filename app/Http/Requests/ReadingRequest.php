<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ReadingPlace;
use App\Words\Voice;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Illuminate\Validation\Rule;

final class ReadingRequest extends LogRequest
{
    private const MOST_IN_MEAT_C = 400.0;

    private const MOST_IN_A_COOKER_C = 700.0;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $cooker = $this->input('place') === ReadingPlace::Cooker->value;

        $pieces = ! $cooker && is_numeric($this->input('dish')) ? $this->stored()->pieces((int) $this->input('dish')) : 1;

        return $this->common(dish: true) + [
            'place' => ['bail', 'required', 'string', Rule::enum(ReadingPlace::class)],
            'piece' => ['bail', 'nullable', new Finite(1.0, $pieces, Message::of('reading.no_such_piece', pieces: $pieces), whole: true)],
            'celsius' => [
                'bail',
                'required_without:hand_s',
                'nullable',
                new Finite(
                    -30.0,
                    $cooker ? self::MOST_IN_A_COOKER_C : self::MOST_IN_MEAT_C,
                    Message::of(
                        $cooker
                            ? 'reading.cooker_reads'
                            : 'reading.probe_reads',
                        least: Quantity::celsius(-30.0),
                        most: Quantity::celsius($cooker ? self::MOST_IN_A_COOKER_C : self::MOST_IN_MEAT_C),
                    ),
                ),
            ],
            'hand_s' => ['bail', 'nullable', Rule::prohibitedIf(! $cooker), new Finite(2.0, 60.0, Message::of('reading.a_hand_is_held'))],
            'sure' => ['bail', 'nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + array_map(Voice::ofTheReader()->say(...), [
            'celsius.required_without' => Message::of('reading.give_the_temperature'),
            'hand_s.prohibited' => Message::of('reading.the_hand_tests_a_fire'),
            'place.*' => Message::of('reading.say_where_it_was_read', cases: array_column(ReadingPlace::cases(), 'value')),
            'sure.*' => Message::of('reading.sure_is_true_or_false'),
        ]);
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        return [
            'dish' => $this->integer('dish'),
            'at' => $this->moment(),
            'place' => ReadingPlace::from($this->string('place')->toString()),
            'piece' => $this->integer('piece', 1),
            'celsius' => $this->filled('hand_s') ? round(HandTest::wallC($this->float('hand_s')), 1) : $this->float('celsius'),
            'sure' => $this->boolean('sure'),
        ];
    }
}
