<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What to change next time, in the cook’s own words. */
final class NoteRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['note' => ['present', 'nullable', 'string', 'max:2000']];
    }

    public function note(): string
    {
        return (string) $this->string('note');
    }
}
