<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Cooker;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A cooker is its cook's alone; to everyone else it is not there. */
final class CookerPolicy
{
    public function use(User $user, Cooker $cooker): Response
    {
        return $cooker->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
