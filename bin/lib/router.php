<?php

declare(strict_types=1);

// PHP's own server: files of public/ as they are, everything else to the application.
$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$public = (string) realpath(__DIR__.'/../../public');
// What no file can be called, such as a name with a zero byte in it, is the application's to refuse.
$file = is_file($public.$path) ? realpath($public.$path) : false;
if ($file === false || ! str_starts_with($file, $public.'/')) {
    require $public.'/index.php';

    return true;
}
$types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'svg' => 'image/svg+xml'];
$type = $types[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
if ($type === null || ! str_starts_with($file, $public.'/build/assets/')) {
    return false;
}
// Their names change with what is in them: a browser that has one never asks again.
header("Content-Type: {$type}");
header('Cache-Control: public, max-age=31536000, immutable');
header('X-Content-Type-Options: nosniff');
header('Vary: Accept-Encoding');
$taken = (string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '');
foreach (['br' => 'br', 'gzip' => 'gz'] as $packed => $ending) {
    if (preg_match("/\\b{$packed}\\b/", $taken) === 1 && is_file("{$file}.{$ending}")) {
        header("Content-Encoding: {$packed}");
        $file .= ".{$ending}";
        break;
    }
}
header('Content-Length: '.filesize($file));
if ($_SERVER['REQUEST_METHOD'] !== 'HEAD') {
    readfile($file);
}

return true;
