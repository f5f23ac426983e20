<?php

declare(strict_types=1);

namespace Diatherm\Work;

use Diatherm\Measure\DiathermException;

/** Pieces of work that wait for each other; its message names them. */
final class CircularWork extends \LogicException implements DiathermException
{
    /** @param  list<string>  $ids */
    public static function among(array $ids): self
    {
        return new self(implode(' > ', $ids));
    }
}
