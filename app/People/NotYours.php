<?php

declare(strict_types=1);

namespace App\People;

/** Somebody who is signed in may not do this; the message says who can. */
final class NotYours extends \RuntimeException
{
}
