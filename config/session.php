<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    // Minutes without a request after which one signs in again.
    'lifetime' => 120,
    // Hours after signing in, whatever was done meanwhile: a shift.
    'longest_h' => 12,
    'expire_on_close' => false,
    'encrypt' => true,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    // The prefix has browsers take it over TLS alone, for this very host.
    'cookie' => env('SESSION_SECURE', true) ? '__Host-oldpart_fit' : 'oldpart_fit',
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE', true),
    'http_only' => true,
    'same_site' => 'strict',
    'partitioned' => false,
];
