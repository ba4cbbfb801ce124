<?php

declare(strict_types=1);

use App\Http\Controllers\HealthController;
use Illuminate\Support\Facades\Route;

Route::get('/up', HealthController::class);
// One page; the front end reads the address. A missing file with an ending stays missing.
Route::get('/{any?}', static fn () => view('app'))->where('any', '^(?!api/)[^.]*$');
