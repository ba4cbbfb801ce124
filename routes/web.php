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
// The page's keeper on a device, and what a device calls it; asked for anew each time.
Route::get('/sw.js', static fn () => response()->file(
    public_path('build/sw.js'),
    ['Content-Type' => 'text/javascript', 'Cache-Control' => 'no-cache'],
));
Route::get('/manifest.webmanifest', static fn () => response()->json([
    'name' => 'Oldpart Fit',
    'short_name' => 'Oldpart Fit',
    'start_url' => '/',
    'scope' => '/',
    'display' => 'standalone',
    'background_color' => '#F7F4EC',
    'theme_color' => '#F7F4EC',
    'icons' => [
        ['src' => '/icon-192.png', 'sizes' => '192x192', 'type' => 'image/png'],
        ['src' => '/icon-512.png', 'sizes' => '512x512', 'type' => 'image/png', 'purpose' => 'any maskable'],
    ],
], 200, ['Content-Type' => 'application/manifest+json']));
// One page; the front end reads the address. A missing file with an ending stays missing.
Route::get('/{any?}', static fn () => view('app'))->where('any', '^(?!api/)[^.]*$');
