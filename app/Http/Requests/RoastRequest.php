<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\MergePatch;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\Roast;
use Diatherm\Roast\RoastFile;
use Illuminate\Foundation\Http\FormRequest;

/** A roast in its file format, or a change of one, as the body; the core reads it and names what is wrong, field by field. */
final class RoastRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }

    /**
     * @param  array<string, mixed>  $stored  what the body changes (RFC 7396)
     * @param  bool  $begun  a roast that is on the fire may pass its serving hour
     *
     * @throws InvalidInput
     */
    public function changed(array $stored, bool $begun): Roast
    {
        return RoastFile::read(MergePatch::apply($this->getContent(), $stored), $begun ? null : CarbonImmutable::now());
    }

    /**
     * @param  bool  $begun  a roast that is on the fire may pass its serving hour
     *
     * @throws InvalidInput
     */
    public function roast(bool $begun = false): Roast
    {
        return RoastFile::readJson($this->getContent(), $begun ? null : CarbonImmutable::now());
    }
}
