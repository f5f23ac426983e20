<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Demo\DemoKitchen;
use App\Http\Requests\RegisterRequest;
use App\Http\Requests\SignInRequest;
use App\Http\Requests\UnitsRequest;
use App\Models\User;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;

/** Signing up, in and out, and the cook's own settings. */
final class SessionController
{
    public function register(RegisterRequest $request): JsonResponse
    {
        /** @var array<string, string> $input */
        $input = $request->validated();
        Auth::login(User::create($input), remember: true);

        return $this->begin($request);
    }

    public function login(SignInRequest $request): JsonResponse
    {
        $password = $request->string('password')->toString();
        $possible = strlen($password) <= RegisterRequest::MOST_PASSWORD_BYTES && ! str_contains($password, "\0");
        if (! $possible || ! Auth::attempt(['email' => $request->string('email')->toString(), 'password' => $password], remember: true)) {
            throw InvalidInput::atField('email', Message::of('session.the_address_and_the_password'));
        }

        return $this->begin($request);
    }

    /** A demo kitchen of the visitor's own; one who is in theirs already stays there. */
    public function demo(Request $request): JsonResponse
    {
        abort_unless((bool) config('app.demo'), 404);
        $cook = Auth::user();
        if (! $cook instanceof User || $cook->demo_until === null) {
            DemoKitchen::sweep();
            Auth::login(DemoKitchen::open());
        }

        return $this->begin($request);
    }

    public function logout(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new Response(status: 204);
    }

    public function me(Request $request): JsonResponse
    {
        /** @var User|null $cook */
        $cook = $request->user();

        return new JsonResponse([
            'user' => $cook === null
                ? null
                : [
                    'name' => $cook->name, 'temperature_unit' => $cook->temperature_unit,
                    'mass_unit' => $cook->mass_unit, 'clock_hours' => $cook->clock_hours, 'id' => hash('xxh64', 'cook '.$cook->id),
                ],
            'demo' => (bool) config('app.demo'),
            'csrf' => csrf_token(),
        ]);
    }

    public function update(UnitsRequest $request): JsonResponse
    {
        /** @var array<string, string> $input */
        $input = $request->validated();
        /** @var User $cook */
        $cook = $request->user();
        $cook->update($input);

        return $this->me($request);
    }

    private function begin(Request $request): JsonResponse
    {
        $request->session()->regenerate();

        return $this->me($request);
    }
}
