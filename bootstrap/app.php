<?php

declare(strict_types=1);

use App\Http\Hosts;
use App\Http\Middleware\NoStore;
use App\Http\Middleware\Observe;
use App\Http\Middleware\SafeHeaders;
use App\Http\Middleware\SameCook;
use App\Http\Middleware\SameSite;
use App\Http\Middleware\SessionsForCooks;
use App\Http\Middleware\SmallBodies;
use App\Http\Middleware\TakesTurn;
use App\Http\Middleware\ThrottleHere;
use App\Http\TakesNothingIn;
use App\Observed\Scrubbed;
use App\Words\Voice;
use Diatherm\Measure\InvalidInput;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/devices.php',
        commands: __DIR__.'/../routes/console.php',
        then: function (): void {
            Route::group([], __DIR__.'/../routes/health.php');
            // Last, for it answers to every address that is left.
            Route::group([], __DIR__.'/../routes/screens.php');
        },
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin serves pages and API; and the package behind this middleware is replaced (compat/README.md).
        $middleware->remove(HandleCors::class);
        $middleware->prepend([Observe::class, SafeHeaders::class, SmallBodies::class]);
        // A whole kitchen is read once it is known whose it is, and not before.
        $isKitchen = fn (Request $request): bool => $request->is('api/account/kitchen');
        $middleware->trimStrings(except: [$isKitchen]);
        $middleware->convertEmptyStringsToNull(except: [$isKitchen]);
        $middleware->trustHosts(at: fn (): array => Hosts::asPatterns(), subdomains: false);
        $middleware->web(replace: [StartSession::class => SessionsForCooks::class, ValidateCsrfToken::class => SameSite::class]);
        $middleware->alias([
            'no-store' => NoStore::class, 'throttle-here' => ThrottleHere::class, 'takes-turn' => TakesTurn::class, 'same-cook' => SameCook::class,
        ]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport(InvalidInput::class);
        $exceptions->report(fn (QueryException $wrong): bool => Scrubbed::report($wrong));
        $exceptions->render(TakesNothingIn::answer(...));
        // Nobody learns from an answer what our classes are called.
        $exceptions->map(fn (ModelNotFoundException $wrong): NotFoundHttpException => new NotFoundHttpException('Not found.'));
        // The core's own messages are already at their fields: they go out as any other validation error does.
        $exceptions->map(fn (InvalidInput $wrong): ValidationException => ValidationException::withMessages(
            array_map(fn (array $messages): array => array_map(Voice::ofTheReader()->say(...), $messages), $wrong->messages),
        ));
    })
    ->create();
