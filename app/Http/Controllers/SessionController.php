<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Demo\DemoKitchen;
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
    /** bcrypt reads no more of a password than this, and stops at a NUL. */
    private const MOST_PASSWORD_BYTES = 72;

    public function register(Request $request): JsonResponse
    {
        /** @var array<string, string> $input */
        $input = $request->validate([
            'name' => ['bail', 'required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['bail', 'required', 'string', Password::min(10), function (string $attribute, string $value, \Closure $fail): void {
                if (strlen($value) > self::MOST_PASSWORD_BYTES) {
                    $fail(
                        sprintf(
                            'The password may have up to %d bytes: as many plain letters, or about %d symbols such as 🔥.',
                            self::MOST_PASSWORD_BYTES,
                            intdiv(self::MOST_PASSWORD_BYTES, 4),
                        ),
                    );
                } elseif (str_contains($value, "\0")) {
                    $fail('The password may not hold a NUL character.');
                }
            }],
        ], ['email.unique' => 'There is a kitchen with this address already: sign in instead.']);
        Auth::login(User::create($input), remember: true);

        return $this->begin($request);
    }

    public function login(Request $request): JsonResponse
    {
        $request->validate(['email' => ['bail', 'required', 'string', 'max:190'], 'password' => ['bail', 'required', 'string', 'max:200']]);
        $password = $request->string('password')->toString();
        $possible = strlen($password) <= self::MOST_PASSWORD_BYTES && ! str_contains($password, "\0");
        if (! $possible || ! Auth::attempt(['email' => $request->string('email')->toString(), 'password' => $password], remember: true)) {
            throw ValidationException::withMessages(['email' => 'The address and the password do not belong together.']);
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
                    'mass_unit' => $cook->mass_unit, 'id' => hash('xxh64', 'cook '.$cook->id),
                ],
            'demo' => (bool) config('app.demo'),
            'csrf' => csrf_token(),
        ]);
    }

    public function update(Request $request): JsonResponse
    {
        /** @var array<string, string> $input */
        $input = $request->validate(
            ['temperature_unit' => ['sometimes', Rule::in(['c', 'f'])], 'mass_unit' => ['sometimes', Rule::in(['kg', 'lb'])]],
        );
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
