<?php

declare(strict_types=1);

return [
    // Where photographs are kept: never inside public/.
    'photos' => env('PHOTO_DIR', storage_path('app/photos')),
    // Where backups are put.
    'backups' => env('BACKUP_DIR', storage_path('app/backups')),
    // How long a job can be brought back from the bin.
    'bin_days' => 30,
    // Other names this shop goes by, with commas between them; 127.0.0.1 and localhost always are.
    'hosts' => env('ALLOWED_HOSTS', ''),
    // Whether other devices reach it: then people sign in.
    'network' => (bool) env('SHOP_NETWORK', false),
    // Where the gauges answer on this machine.
    'gauge_port' => (int) env('GAUGE_PORT', 7790),
];
