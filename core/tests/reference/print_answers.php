<?php

declare(strict_types=1);

// Prints the answers of a job of some kind, or of one in some state, a line for each: to compare two versions by diff.
// Usage: php core/tests/reference/print_answers.php plain-bush | "plain-bush, noted"

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Tests\Evaluate\EachKind;
use Oldpart\Core\Tests\Evaluate\JobStates;

require __DIR__.'/../../vendor/autoload.php';
$jobs = [...EachKind::jobs(), ...JobStates::all()];
$name = $argv[1] ?? '';
isset($jobs[$name]) || exit("One of:\n".implode("\n", array_keys($jobs))."\n");
$print = static function (mixed $answer, string $path) use (&$print): void {
    if (! is_array($answer)) {
        echo "{$path} = ".json_encode(is_float($answer) ? round($answer, 7) : $answer, JSON_UNESCAPED_UNICODE)."\n";

        return;
    }
    foreach ($answer as $key => $value) {
        $print($value, "{$path}/{$key}");
    }
};
$print(json_decode(json_encode(JobAnswers::of($jobs[$name]), JSON_THROW_ON_ERROR), true), '');
