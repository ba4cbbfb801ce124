<?php

use Illuminate\Http\Request;

define('LARAVEL_START', microtime(true));

require __DIR__.'/../vendor/autoload.php';

$request = Request::capture();
// The method is what was sent: no header or field makes another of it.
Request::setAllowedHttpMethodOverride([]);
(require_once __DIR__.'/../bootstrap/app.php')->handleRequest($request);
