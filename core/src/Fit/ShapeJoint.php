<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

/** Two shapes that meet, and are sized by their own standard, not by a clearance. */
enum ShapeJoint: string
{
    case Thread = 'thread';
    case Taper = 'taper';
    case Key = 'key';
    case Mesh = 'mesh';
    case Bolts = 'bolts';
    case Pour = 'pour';
}
