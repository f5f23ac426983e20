<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangePasswordRequest;
use App\Http\Requests\ForgottenRequest;
use App\Http\Requests\LeaveRequest;
use App\Http\Requests\ResetRequest;
use App\Kitchen\KnownDevice;
use App\Kitchen\SignedIn;
use App\Mail\Letters;
use App\Models\User;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\Password;

use function Illuminate\Support\defer;

/** The cook's own account: address, password, where they are signed in, and the way out. */
final class AccountController
{
    use AsksItsCook;

    public function show(Request $request): JsonResponse
    {
        $cook = self::cook($request);

        return new JsonResponse([
            'email' => $cook->demo_until === null ? $cook->email : null,
            'confirmed' => $cook->email_verified_at !== null,
            'signed_in' => SignedIn::places($cook, $request->session()->getId()),
        ]);
    }

    public function password(ChangePasswordRequest $request): JsonResponse
    {
        $cook = self::cook($request);
        $cook->forceFill(['password' => $request->string('password')->toString()])->save();
        // A letter that is on its way opens nothing any more.
        Password::deleteToken($cook);
        SignedIn::endOthers($cook, $request->session()->getId());
        defer(fn () => Letters::passwordChanged($cook))->always();

        return $this->show($request);
    }

    public function endSession(Request $request, string $place): JsonResponse
    {
        SignedIn::end(self::cook($request), $place);

        return $this->show($request);
    }

    /** Everywhere but here. */
    public function endOthers(Request $request): JsonResponse
    {
        $cook = self::cook($request);
        SignedIn::endOthers($cook, $request->session()->getId());

        return $this->show($request);
    }

    public function askToConfirm(Request $request): Response
    {
        $cook = self::cook($request);
        defer(fn () => Letters::confirm($cook))->always();

        return new Response(status: 204);
    }

    /** From a letter: signed, for that cook and that address. */
    public function confirm(string $cook, string $address): RedirectResponse
    {
        $found = User::where('id', (int) $cook)->first();
        if ($found !== null && hash_equals(hash('sha256', $found->email), $address) && $found->email_verified_at === null) {
            $found->forceFill(['email_verified_at' => CarbonImmutable::now()])->save();
        }

        return new RedirectResponse('/account');
    }

    /** The same answer, as soon, whether there is such a kitchen or not. */
    public function forgotten(ForgottenRequest $request): Response
    {
        $email = $request->string('email')->toString();
        defer(fn () => Password::sendResetLink(['email' => $email]))->always();

        return new Response(status: 204);
    }

    public function reset(ResetRequest $request): Response
    {
        $done = Password::reset($request->validated(), function (User $cook, string $password): void {
            $cook->forceFill([
                'password' => $password,
                // Who reads what is sent there has the address.
                'email_verified_at' => $cook->email_verified_at ?? CarbonImmutable::now(),
            ])->save();
            SignedIn::endOthers($cook, null);
            Cookie::queue(KnownDevice::cookie($cook->email));
            defer(fn () => Letters::passwordChanged($cook))->always();
        });
        if ($done !== Password::PASSWORD_RESET) {
            throw InvalidInput::atField('token', Message::of('account.this_link_no_longer'));
        }

        return new Response(status: 204);
    }

    /** With everything in the kitchen. */
    public function destroy(LeaveRequest $request): Response
    {
        $cook = self::cook($request);
        SignedIn::endOthers($cook, null);
        foreach ($cook->devices()->get() as $device) {
            $device->tokens()->delete();
        }
        Auth::logout();
        $request->session()->invalidate();
        $cook->delete();

        return new Response(status: 204);
    }
}
