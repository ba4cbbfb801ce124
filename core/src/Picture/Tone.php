<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/** What a line or an area stands for; screens and sheets give it its colour, its hatching always says it too. */
enum Tone: string
{
    case Found = 'found';
    case Make = 'make';
    case Overlap = 'overlap';
    case Good = 'good';
    case Ink = 'ink';
    case Soft = 'soft';
    case Rule = 'rule';
}
