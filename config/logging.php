<?php

declare(strict_types=1);

use Monolog\Formatter\LineFormatter;

// A file a day for a week, a line each, without the trace that fills a disk.
return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        'daily' => [
            'driver' => 'daily', 'path' => storage_path('logs/shop.log'), 'level' => 'warning', 'days' => 7,
            'formatter' => LineFormatter::class, 'formatter_with' => ['ignoreEmptyContextAndExtra' => true, 'includeStacktraces' => false],
        ],
        'stderr' => ['driver' => 'monolog', 'handler' => Monolog\Handler\StreamHandler::class, 'with' => ['stream' => 'php://stderr'], 'level' => 'warning'],
    ],
];
