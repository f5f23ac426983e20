<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ClientId;
use App\Models\Roast;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Illuminate\Foundation\Http\FormRequest;

/** What readings and events have in common: an id, a dish of this roast, and a moment that has come. */
abstract class LogRequest extends FormRequest
{
    /** Clocks of two devices differ: what is not further ahead than this is taken for now. */
    private const CLOCK_SLACK_MINUTES = 15;

    private const OLDEST_DAYS = 30;

    /** @return array<string, mixed> as it is stored */
    abstract public function row(): array;

    /** @return array<string, mixed> */
    protected function common(bool $dish): array
    {
        return [
            'id' => ['bail', 'required', 'string', ClientId::RULE],
            'dish' => [
                'bail',
                $dish ? 'required' : 'nullable',
                new Finite(0, $this->stored()->dishCount() - 1, Message::of('log.there_is_no_such_dish'), whole: true),
            ],
            'at' => $this->timeRules(),
        ];
    }

    /** @return list<string> */
    protected function timeRules(): array
    {
        return [
            'bail', 'required', 'string', 'max:40', 'regex:'.Fields::MOMENT, 'date',
            'before_or_equal:'.CarbonImmutable::now()->addMinutes(self::CLOCK_SLACK_MINUTES)->toAtomString(),
            'after:'.CarbonImmutable::now()->subDays(self::OLDEST_DAYS)->toAtomString(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return array_map(Voice::ofTheReader()->say(...), [
            'at.before_or_equal' => Message::of('log.this_time_has_not_come'),
            'at.after' => Message::of('log.this_time_is_more'),
            'at.*' => Message::of('log.give_the_time'),
            'id.*' => Message::of('log.the_id_must'),
        ]);
    }

    protected function stored(): Roast
    {
        $roast = $this->route('roast');
        assert($roast instanceof Roast);

        return $roast;
    }

    public function moment(): CarbonImmutable
    {
        return CarbonImmutable::parse($this->string('at')->toString())->utc()->min(CarbonImmutable::now());
    }
}
