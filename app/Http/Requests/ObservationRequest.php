<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ClientId;
use Illuminate\Foundation\Http\FormRequest;

/** A reading of a cooker, with the id that its device gave it. */
final class ObservationRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['id' => ['bail', 'required', 'string', ClientId::RULE]];
    }

    public function id(): string
    {
        return $this->string('id')->toString();
    }
}
