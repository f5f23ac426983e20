<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Roast;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A roast is its cook's alone; to everyone else it is not there. */
final class RoastPolicy
{
    public function use(User $user, Roast $roast): Response
    {
        return $roast->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
