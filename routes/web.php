<?php

declare(strict_types=1);

use App\Http\Controllers\HealthController;
use Illuminate\Support\Facades\Route;

Route::get('/up', HealthController::class);
Route::get('/api/docs', static fn () => view('docs'));
Route::get('/api/contract.json', static fn () => response()->file(
    public_path('build/contract.json'),
    ['Content-Type' => 'application/json'],
));
// One page; the front end reads the address. A missing file with an ending stays missing.
Route::get('/{any?}', static fn () => view('app'))->where('any', '^(?!api/)[^.]*$');
