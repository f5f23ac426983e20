<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\Roast;
use Diatherm\Roast\RoastFile;
use Diatherm\Ways\Question;
use Diatherm\Ways\Turn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What came between, or what is to be compared. */
final class WaysRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $minutes = new Finite(Question::LEAST_MINUTES, Question::MOST_MINUTES, Message::of('ways.minutes_late'), whole: true);

        return [
            'turn' => ['bail', 'required', 'string', Rule::enum(Turn::class)],
            'minutes' => ['bail', 'nullable', $minutes],
            'people' => ['bail', 'nullable', new Finite(1, Question::MOST_PEOPLE, Message::of('ways.people_more'), whole: true)],
            'dish' => ['bail', 'nullable', new Finite(0, 11, Message::of('log.there_is_no_such_dish'), whole: true)],
            'cooker' => ['bail', 'nullable', 'string', 'max:60'],
        ];
    }

    public function question(): Question
    {
        /** @var User $cook */
        $cook = $this->user();

        return Question::of(
            Turn::from($this->string('turn')->toString()),
            $this->filled('minutes') ? $this->integer('minutes') : 30,
            $this->filled('people') ? $this->integer('people') : 1,
            $this->integer('dish'),
            $this->filled('cooker') ? $this->string('cooker')->toString() : null,
            array_values(array_unique($cook->cookers()->orderBy('id')->pluck('kind')->all())),
        );
    }

    /**
     * The roast that is being planned, which nobody has stored.
     *
     * @throws InvalidInput
     */
    public function roast(): Roast
    {
        return RoastFile::read($this->input('roast'), CarbonImmutable::now());
    }
}
