<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Everything that the core throws on purpose. */
interface DiathermException extends \Throwable
{
}
