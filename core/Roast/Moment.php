<?php

declare(strict_types=1);

namespace Diatherm\Roast;

/** A moment of a dish that something else can hang on. */
enum Moment: string
{
    case On = 'on';
    /** The first time that it is basted or sprayed. */
    case FirstBaste = 'first_baste';
    case Wrap = 'wrap';
    case Pull = 'pull';
    case Carve = 'carve';
}
