<?php

declare(strict_types=1);

// Writes docs/iso-286-rounding.md anew.

use Oldpart\Core\Tests\reference\Iso286Rounding;

require __DIR__.'/../../vendor/autoload.php';

file_put_contents(dirname(__DIR__, 3).'/docs/iso-286-rounding.md', Iso286Rounding::markdown());
