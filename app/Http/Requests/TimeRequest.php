<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Another time for something that was logged. */
final class TimeRequest extends LogRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['at' => $this->timeRules()];
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        return ['at' => $this->moment()];
    }
}
