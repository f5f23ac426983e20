<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// What is the same for everybody: without session, and without a question to the database.

// Keeps the screens on the device: asked for anew each time, and in charge of the whole kitchen.
Route::get('worker.js', fn () => response((string) file_get_contents(public_path('build/worker.js')), headers: [
    'Content-Type' => 'text/javascript; charset=utf-8', 'Cache-Control' => 'no-cache', 'Service-Worker-Allowed' => '/',
]));

// Every other address is a screen, which the browser draws.
Route::view('{screen?}', 'app')->where('screen', '.*');
