<?php

declare(strict_types=1);

use App\Http\Middleware\NoStore;
use App\Words\Voice;
use Diatherm\Measure\InvalidInput;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/devices.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin serves pages and API; and the package behind this middleware is replaced (compat/README.md).
        $middleware->remove(HandleCors::class);
        $middleware->alias(['no-store' => NoStore::class]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport(InvalidInput::class);
        // The core's own messages are already at their fields: they go out as any other validation error does.
        $exceptions->map(fn (InvalidInput $wrong): ValidationException => ValidationException::withMessages(
            array_map(fn (array $messages): array => array_map(Voice::ofTheReader()->say(...), $messages), $wrong->messages),
        ));
    })
    ->create();
