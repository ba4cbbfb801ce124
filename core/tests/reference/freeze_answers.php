<?php

declare(strict_types=1);

// Writes frozen_answers.json anew: only when answers are meant to change, and then the change is read first.
// Usage: php core/tests/reference/freeze_answers.php

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Tests\Evaluate\EachKind;
use Oldpart\Core\Tests\Evaluate\JobStates;
use Oldpart\Core\Tests\Evaluate\Sections;

require __DIR__.'/../../vendor/autoload.php';
$frozen = array_map(static fn ($facts): array => Sections::of(JobAnswers::of($facts)), EachKind::jobs());
$states = array_map(
    static fn ($facts): string => Sections::whole($facts),
    JobStates::all(),
);
file_put_contents(
    __DIR__.'/frozen_answers.json',
    json_encode(
        [
            'title' => 'Answers of a job of each kind, section by section, and in each of its states',
            'source' => 'this product, before it was laid out anew: not an outside value; it only tells where an answer moved',
            'jobs' => $frozen,
            'states' => $states,
        ],
        JSON_PRETTY_PRINT,
    )."\n",
);
