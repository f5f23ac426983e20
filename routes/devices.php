<?php

declare(strict_types=1);

use App\Http\Controllers\DeviceController;
use Illuminate\Support\Facades\Route;

// What devices ask for: each with a token of its own, without session or cookie.
Route::prefix('device')->middleware(['auth:sanctum', 'throttle-here:devices', 'no-store'])->group(function (): void {
    Route::get('/', [DeviceController::class, 'self']);
    Route::post('readings', [DeviceController::class, 'readings']);
});
