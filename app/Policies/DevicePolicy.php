<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Device;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A thermometer is its cook's alone; to everyone else it is not there. */
final class DevicePolicy
{
    public function use(User $user, Device $device): Response
    {
        return $device->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
