<?php

declare(strict_types=1);

use App\Http\Controllers\HealthController;
use Illuminate\Support\Facades\Route;

// For who runs it: without session.
Route::get('up', [HealthController::class, 'lives']);
Route::get('ready', [HealthController::class, 'isReady']);
Route::get('metrics', [HealthController::class, 'metrics'])->middleware('throttle:60,1');
