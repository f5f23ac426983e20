<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\Request;

/** For what only who is signed in may ask. */
trait AsksItsCook
{
    private static function cook(Request $request): User
    {
        $cook = $request->user();
        assert($cook instanceof User);

        return $cook;
    }
}
