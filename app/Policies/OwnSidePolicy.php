<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\OwnSide;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A side of their own is its cook's alone; to everyone else it is not there. */
final class OwnSidePolicy
{
    public function use(User $user, OwnSide $side): Response
    {
        return $side->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
