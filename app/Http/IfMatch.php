<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Edition;
use App\Words\Voice;
use Closure;
use Diatherm\Measure\Message;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\PreconditionRequiredHttpException;

/**
 * A change names the edition that it was made from, so that it does not undo what another device changed meanwhile.
 * Source: RFC 9110, 13.1.1; RFC 6585, 3 (428).
 */
final class IfMatch
{
    private const ANY = '*';

    /**
     * @param  Closure(): array<string, mixed>  $current  what stands now, for a device that began from something else
     *
     * @throws PreconditionRequiredHttpException when the change names no edition
     * @throws Outdated when it names another one
     */
    public static function insist(Request $request, Edition $edition, Closure $current): void
    {
        $named = array_filter(array_map(trim(...), explode(',', $request->headers->get('If-Match') ?? '')));
        if ($named === []) {
            throw new PreconditionRequiredHttpException(Voice::ofTheReader()->say(Message::of('file.no_edition')));
        }
        if (! in_array(self::ANY, $named, true) && ! in_array($edition->tag(), $named, true)) {
            throw new Outdated($edition, $current());
        }
    }
}
