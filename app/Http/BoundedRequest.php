<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Middleware\SmallBodies;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\InputBag;

/**
 * A request whose body is decoded only where its address takes one of that size. The framework decodes every JSON body as soon as there is a
 * request, before anything could refuse it.
 */
final class BoundedRequest extends Request
{
    /** A whole kitchen is decoded by its reader, once it is known whose it is and how much is in it. */
    private const READ_LATER = 'api/account/kitchen';

    /** @return InputBag<mixed>|mixed as the framework has it */
    public function json($key = null, $default = null): mixed
    {
        if (! isset($this->json) && ($this->is(self::READ_LATER) || ! SmallBodies::fits($this))) {
            $this->json = new InputBag;
        }

        return parent::json($key, $default);
    }
}
