<?php

declare(strict_types=1);

namespace App\Gauges;

/** A gauge that does not answer, or not with a reading. */
final class GaugeSilent extends \RuntimeException
{
}
