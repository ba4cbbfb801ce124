<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

enum EvidenceKind: string
{
    case Original = 'original';
    case BrokenHalf = 'broken half';
    case Mates = 'mates';
    case SisterDrawing = 'sister drawing';
    case SimilarPart = 'similar part';
    case Photographs = 'photographs';
}
