<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;

/** Signing up, in and out, and the cook's own settings. */
final class SessionController
{
    public function register(Request $request): JsonResponse
    {
        /** @var array<string, string> $input */
        $input = $request->validate([
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['required', 'string', Password::min(10), 'max:72'],
        ], ['email.unique' => 'There is a kitchen with this address already: sign in instead.']);
        Auth::login(User::create($input), remember: true);

        return $this->begin($request);
    }

    public function login(Request $request): JsonResponse
    {
        $request->validate(['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']]);
        if (! Auth::attempt(['email' => $request->string('email')->toString(), 'password' => $request->string('password')->toString()], remember: true)) {
            throw ValidationException::withMessages(['email' => 'The address and the password do not belong together.']);
        }

        return $this->begin($request);
    }

    public function demo(Request $request): JsonResponse
    {
        abort_unless((bool) config('app.demo'), 404);
        Auth::login(User::where('email', \Database\Seeders\DemoSeeder::EMAIL)->firstOrFail());

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
            'user' => $cook === null ? null : ['name' => $cook->name, 'temperature_unit' => $cook->temperature_unit, 'mass_unit' => $cook->mass_unit],
            'demo' => (bool) config('app.demo'),
            'csrf' => csrf_token(),
        ]);
    }

    public function update(Request $request): JsonResponse
    {
        /** @var array<string, string> $input */
        $input = $request->validate(['temperature_unit' => ['sometimes', Rule::in(['c', 'f'])], 'mass_unit' => ['sometimes', Rule::in(['kg', 'lb'])]]);
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
