<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\CookerController;
use App\Http\Controllers\DeviceController;
use App\Http\Controllers\FileController;
use App\Http\Controllers\HandbookController;
use App\Http\Controllers\HandsController;
use App\Http\Controllers\KitchenController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\MixController;
use App\Http\Controllers\OwnSideController;
use App\Http\Controllers\PreviewController;
use App\Http\Controllers\ReferenceController;
use App\Http\Controllers\RoastController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\WaysController;
use App\Http\Controllers\WeatherController;
use App\Models\ClientId;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->middleware('no-store')->group(function (): void {
    Route::get('me', [SessionController::class, 'me']);
    Route::post('register', [SessionController::class, 'register'])->middleware('throttle:register');
    Route::post('login', [SessionController::class, 'login'])->middleware('throttle:sign-in');
    Route::post('forgotten', [AccountController::class, 'forgotten'])->middleware('throttle:mail');
    Route::post('reset', [AccountController::class, 'reset'])->middleware('throttle:letter');
    Route::post('demo', [SessionController::class, 'demo'])->middleware('throttle:demo');

    Route::prefix('hands/{key}')->middleware('throttle-here:hands')->where(['key' => '[A-Za-z0-9]{40}'])->group(function (): void {
        Route::get('/', [HandsController::class, 'show']);
        Route::post('ticks', [HandsController::class, 'tick']);
        Route::delete('ticks/{id}', [HandsController::class, 'untick'])->where('id', ClientId::PATTERN);
    });

    Route::middleware(['auth', 'same-cook', 'throttle-here:compute'])->group(function (): void {
        Route::post('logout', [SessionController::class, 'logout']);
        Route::patch('me', [SessionController::class, 'update']);
        Route::prefix('account')->group(function (): void {
            Route::get('/', [AccountController::class, 'show']);
            Route::delete('/', [AccountController::class, 'destroy'])->middleware('throttle:sign-in');
            Route::put('password', [AccountController::class, 'password'])->middleware('throttle:sign-in');
            Route::post('confirmation', [AccountController::class, 'askToConfirm'])->middleware('throttle:mail');
            Route::delete('sessions', [AccountController::class, 'endOthers']);
            Route::delete('sessions/{place}', [AccountController::class, 'endSession'])->where('place', '[0-9a-f]{24}');
            Route::get('kitchen', [KitchenController::class, 'export']);
            Route::post('kitchen', [KitchenController::class, 'import'])->middleware('takes-turn');
        });
        Route::get('reference', ReferenceController::class)->withoutMiddleware('no-store');
        Route::get('handbook', HandbookController::class)->withoutMiddleware('no-store');
        Route::post('preview', PreviewController::class)->middleware('takes-turn');
        Route::post('ways', [WaysController::class, 'planned'])->middleware('takes-turn');
        Route::get('roasts', [RoastController::class, 'index']);
        Route::post('roasts', [RoastController::class, 'store'])->middleware('takes-turn');
        Route::post('roasts/import', [FileController::class, 'import'])->middleware('takes-turn');

        Route::get('cookers', [CookerController::class, 'index']);
        Route::post('cookers', [CookerController::class, 'store']);
        Route::prefix('cookers/{cooker}')->middleware('can:use,cooker')->group(function (): void {
            Route::get('/', [CookerController::class, 'show']);
            Route::put('/', [CookerController::class, 'update']);
            Route::delete('/', [CookerController::class, 'destroy']);
            Route::get('file', [CookerController::class, 'export']);
            Route::post('ask', [CookerController::class, 'ask'])->middleware('takes-turn');
            Route::post('learn', [CookerController::class, 'learn'])->middleware('takes-turn');
            Route::post('observations', [CookerController::class, 'observe'])->middleware('takes-turn');
            Route::delete('observations/{id}', [CookerController::class, 'forget'])->where('id', ClientId::PATTERN);
        });

        Route::get('sides', [OwnSideController::class, 'index']);
        Route::post('sides', [OwnSideController::class, 'store']);
        Route::get('sides/{side}', [OwnSideController::class, 'export'])->middleware('can:use,side');
        Route::delete('sides/{side}', [OwnSideController::class, 'destroy'])->middleware('can:use,side');

        Route::get('weather', WeatherController::class);
        Route::get('devices', [DeviceController::class, 'index']);
        Route::post('devices', [DeviceController::class, 'store']);
        Route::prefix('devices/{device}')->middleware('can:use,device')->group(function (): void {
            Route::put('/', [DeviceController::class, 'update']);
            Route::delete('/', [DeviceController::class, 'destroy']);
            Route::post('token', [DeviceController::class, 'token']);
        });

        Route::get('mixes', [MixController::class, 'index']);
        Route::post('mixes', [MixController::class, 'store']);
        Route::post('mixes/read', [MixController::class, 'read']);
        Route::get('mixes/{mix}', [MixController::class, 'export'])->middleware('can:use,mix');
        Route::delete('mixes/{mix}', [MixController::class, 'destroy'])->middleware('can:use,mix');

        Route::prefix('roasts/{roast}')->middleware('can:use,roast')->group(function (): void {
            Route::get('/', [RoastController::class, 'show']);
            Route::patch('file', [RoastController::class, 'update'])->middleware('takes-turn');
            Route::delete('/', [RoastController::class, 'destroy']);
            Route::put('debrief', [RoastController::class, 'debrief']);
            Route::get('file', [FileController::class, 'export']);
            Route::get('readings.csv', [FileController::class, 'readings']);
            Route::post('ways', [WaysController::class, 'followed'])->middleware('takes-turn');
            Route::post('ways/taken', [WaysController::class, 'take']);
            Route::post('hands', [HandsController::class, 'link']);
            Route::delete('hands', [HandsController::class, 'close']);
            Route::get('run-sheet.ics', [FileController::class, 'calendar'])->middleware('takes-turn');
            Route::post('readings.csv', [FileController::class, 'importReadings'])->middleware('takes-turn');
            Route::post('readings', [LogController::class, 'storeReading']);
            Route::patch('readings/{id}', [LogController::class, 'moveReading'])->where('id', ClientId::PATTERN);
            Route::delete('readings/{id}', [LogController::class, 'destroyReading'])->where('id', ClientId::PATTERN);
            Route::post('events', [LogController::class, 'storeEvent']);
            Route::patch('events/{id}', [LogController::class, 'moveEvent'])->where('id', ClientId::PATTERN);
            Route::delete('events/{id}', [LogController::class, 'destroyEvent'])->where('id', ClientId::PATTERN);
        });
    });

    Route::any('{any}', fn () => abort(404))->where('any', '.*');
});

// Out of a letter.
Route::get('confirm/{cook}/{address}', [AccountController::class, 'confirm'])
    ->middleware(['signed:relative', 'throttle:letter'])
    ->name('confirm')
    ->whereNumber('cook')
    ->where('address', '[0-9a-f]{64}');
