<?php

declare(strict_types=1);

use App\Backup\Backups;
use App\Backup\OpenFiles;
use App\Backup\Restoring;
use App\Bench\JobStore;
use App\Database\ImmediateConnector;
use App\Gauges\LineGauge;
use App\Http\Middleware\May;
use App\Http\Middleware\OnlyFromHere;
use App\Http\Middleware\Sittings;
use App\Http\Middleware\UsualHeaders;
use App\Http\Trouble;
use App\Photos\Photographs;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->prepend([OnlyFromHere::class, UsualHeaders::class]);
        // The page itself is the same for everybody: it needs neither a session nor cookies.
        $middleware->group('web', [SubstituteBindings::class]);
        $middleware->group('api', [Sittings::class, SubstituteBindings::class]);
        // Language and decimal sign: the page writes it, the sheet reads it.
        $middleware->encryptCookies(except: ['speech']);
        $middleware->alias(['may' => May::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Trouble::register($exceptions);
    })
    ->withBindings(['db.connector.sqlite' => ImmediateConnector::class])
    ->withSingletons([
        LineGauge::class => static fn (): LineGauge => new LineGauge('tcp://127.0.0.1:'.(int) config('shop.gauge_port')),
        Backups::class => static fn (): Backups => new Backups((string) config('shop.backups'), (string) config('shop.photos')),
        OpenFiles::class => static fn (): OpenFiles => new OpenFiles(app(JobStore::class), (string) config('shop.photos')),
        Restoring::class => static fn (): Restoring => new Restoring(app(Backups::class), (string) config('shop.photos')),
        Photographs::class => static fn (): Photographs => new Photographs((string) config('shop.photos')),
    ])
    ->create();
