<?php

use App\Http\Controllers\Api\EventController;
use Illuminate\Support\Facades\Route;

Route::get('/openapi.json', fn () => response()->file(base_path('docs/openapi.json'), [
    'Content-Type' => 'application/json',
]))->name('api.description');

Route::middleware(['auth:sanctum', 'throttle:api'])->group(function (): void {
    Route::post('/signals', [EventController::class, 'signals'])->middleware('ability:signals')->name('api.signals');
    Route::post('/facts', [EventController::class, 'facts'])->middleware('ability:facts')->name('api.facts');
});
