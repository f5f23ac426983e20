<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Demo\DemoKitchen;
use App\Http\Middleware\SessionsForCooks;
use App\Http\Requests\NewPassword;
use App\Http\Requests\RegisterRequest;
use App\Http\Requests\SignInRequest;
use App\Http\Requests\UnitsRequest;
use App\Kitchen\KnownDevice;
use App\Mail\Letters;
use App\Models\User;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

use function Illuminate\Support\defer;

/** Signing up, in and out, and the cook's own settings. */
final class SessionController
{
    use AsksItsCook;

    public function register(RegisterRequest $request): JsonResponse
    {
        try {
            $cook = User::create($request->cook());
        } catch (UniqueConstraintViolationException) {
            // Somebody was quicker, since it was looked for.
            throw InvalidInput::atField('email', Message::of('register.there_is_a_kitchen'));
        }
        defer(fn () => Letters::confirm($cook))->always();

        return $this->enter($request, $cook);
    }

    /** Known or not, the same work is done and the same is said. */
    public function login(SignInRequest $request): JsonResponse
    {
        $password = $request->string('password')->toString();
        $cook = User::where('email', $request->string('email')->toString())->first();
        $belongs = NewPassword::isPossible($password) && Hash::check($password, $cook->password ?? self::nobodysPassword());
        if ($cook === null || ! $belongs) {
            throw InvalidInput::atField('email', Message::of('session.the_address_and_the_password'));
        }

        return $this->enter($request, $cook);
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
                    'mass_unit' => $cook->mass_unit, 'clock_hours' => $cook->clock_hours, 'id' => $cook->mark(),
                ],
            'demo' => (bool) config('app.demo'),
            'csrf' => csrf_token(),
        ]);
    }

    public function update(UnitsRequest $request): JsonResponse
    {
        /** @var array<string, string> $input */
        $input = $request->validated();
        $cook = self::cook($request);
        $cook->update($input);

        return $this->me($request);
    }

    private function enter(Request $request, User $cook): JsonResponse
    {
        Auth::login($cook);
        Cookie::queue(KnownDevice::cookie($cook->email));
        if (! $request->boolean('remember', true)) {
            $request->session()->put(SessionsForCooks::BRIEF_SINCE, CarbonImmutable::now()->getTimestamp());
        }

        return $this->begin($request);
    }

    /** A hash that nobody's password has, as costly to compare with as any. */
    private static function nobodysPassword(): string
    {
        return Cache::rememberForever('nobodys_password.'.config('hashing.bcrypt.rounds'), fn (): string => Hash::make(Str::random(40)));
    }

    private function begin(Request $request): JsonResponse
    {
        $request->session()->regenerate();

        return $this->me($request);
    }
}
