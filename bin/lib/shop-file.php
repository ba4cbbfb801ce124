<?php

declare(strict_types=1);

// What the shop's file is like, said in one word with a reason after it; and a copy of it, whole whoever writes meanwhile.
// Usage: shop-file.php look FILE | copy FILE TO

[$script, $what, $file] = [...$argv, '', ''];
if ($what === 'copy') {
    $to = $argv[3] ?? '';
    try {
        $pdo = new PDO("sqlite:{$file}");
        $pdo->exec('VACUUM INTO '.$pdo->quote($to));
        exit(0);
    } catch (PDOException $e) {
        fwrite(STDERR, $e->getMessage()."\n");
        exit(1);
    }
}
if (! is_file($file)) {
    echo is_dir(dirname($file)) ? 'missing' : 'nowhere';
    exit(0);
}
if (filesize($file) === 0) {
    echo 'blank';
    exit(0);
}
if (! is_readable($file) || ! is_writable($file) || ! is_writable(dirname($file))) {
    echo 'read-only';
    exit(0);
}
try {
    $pdo = new PDO("sqlite:{$file}");
    $pdo->exec('PRAGMA busy_timeout = 5000');
    $answer = $pdo->query('PRAGMA quick_check(1)')->fetchColumn();
    if ($answer !== 'ok') {
        echo "damaged {$answer}";
        exit(0);
    }
    $tables = $pdo->query("SELECT name FROM sqlite_master WHERE type = 'table'")->fetchAll(PDO::FETCH_COLUMN);
    if ($tables !== [] && ! in_array('migrations', $tables, true)) {
        echo 'foreign';
        exit(0);
    }
    echo $tables === [] ? 'blank' : 'good '.(in_array('jobs', $tables, true) ? $pdo->query('SELECT count(*) FROM jobs')->fetchColumn() : 0);
} catch (PDOException $e) {
    echo str_contains($e->getMessage(), 'readonly') ? 'read-only' : 'damaged '.$e->getMessage();
}
