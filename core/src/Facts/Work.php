<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** What is done to a surface of a part that is there already. Nothing: it stays as it is. */
enum Work: string
{
    /** Bored, turned, faced, milled: metal is taken off what is there. */
    case Cut = 'cut';

    /** Built up first, by weld, spray or sleeve, and cut then. */
    case BuiltUp = 'built up';
}
