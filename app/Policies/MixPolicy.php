<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Mix;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A mix is its cook's alone; to everyone else it is not there. */
final class MixPolicy
{
    public function use(User $user, Mix $mix): Response
    {
        return $mix->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
