<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** How a part came off. */
enum CameOff: string
{
    case ByHand = 'by hand';
    case Unscrewed = 'unscrewed';
    case Drawn = 'drawn';
    case Pressed = 'pressed';
    case Drifted = 'drifted';
    case Heated = 'heated';
    case Cut = 'cut off';
    case Broken = 'came broken';
}
