<?php

declare(strict_types=1);

use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\GaugeController;
use App\Http\Controllers\InstrumentController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\LetterController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\ReadingsCsvController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\ShopController;
use App\Http\Controllers\SumController;
use Illuminate\Support\Facades\Route;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

Route::get('jobs', [JobController::class, 'index']);
Route::post('jobs', [JobController::class, 'store']);
Route::post('jobs/import', [JobController::class, 'import']);
Route::get('find', [JobController::class, 'find']);
Route::get('jobs/{job}', [JobController::class, 'show']);
Route::patch('jobs/{job}', [JobController::class, 'update']);
Route::post('jobs/{job}/preview', [JobController::class, 'preview']);
Route::post('jobs/{job}/undo', [JobController::class, 'undo']);
Route::put('jobs/{job}/shelf', [JobController::class, 'shelve']);
Route::post('jobs/{job}/copy', [JobController::class, 'copy']);
Route::get('jobs/{job}/letter', LetterController::class);
Route::get('jobs/{job}/pictures/{photo}', [PhotoController::class, 'show']);
Route::put('jobs/{job}/pictures/{photo}', [PhotoController::class, 'store']);
Route::get('jobs/{job}/file', [JobController::class, 'file']);
Route::get('jobs/{job}/sheet', SheetController::class);
Route::get('jobs/{job}/readings.csv', [ReadingsCsvController::class, 'show']);
Route::post('jobs/{job}/readings-table/look', [ReadingsCsvController::class, 'look']);
Route::post('jobs/{job}/readings-table', [ReadingsCsvController::class, 'store']);
Route::put('jobs/{job}/{list}/{thing}', [JobController::class, 'put']);
Route::delete('jobs/{job}/{list}/{thing}', [JobController::class, 'destroy']);
Route::get('instruments', [InstrumentController::class, 'index']);
Route::post('instruments/{instrument}/checks', [InstrumentController::class, 'check']);
Route::get('gauges', [GaugeController::class, 'index']);
Route::post('gauges/line', [GaugeController::class, 'line']);
Route::get('gauges/{gauge}', [GaugeController::class, 'show']);
Route::get('shop', [ShopController::class, 'show']);
Route::patch('shop', [ShopController::class, 'update']);
Route::get('catalogue', [CatalogueController::class, 'index']);
Route::get('kinds', [CatalogueController::class, 'kinds']);
Route::get('sums', [SumController::class, 'index']);
Route::post('sums/{name}', [SumController::class, 'run']);
Route::fallback(static fn () => throw new NotFoundHttpException);
