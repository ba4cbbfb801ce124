<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

/** What drives or keeps a joint beside its fit. */
enum FasteningKind: string
{
    case Key = 'key';

    /** Across the joint through both parts: sheared twice. */
    case CrossPin = 'cross-pin';

    /** Along the joint, half in each part, or on a circle through a flange: sheared once each. */
    case Dowels = 'dowels';
    case SetScrews = 'set-screws';

    /** Screws or bolts that clamp two faces. */
    case Bolts = 'bolts';

    /** A fillet round a shaft. */
    case Weld = 'weld';

    /** A split bush drawn into a taper by its screws. */
    case TaperBush = 'taper-bush';
    case Knurl = 'knurl';

    /** In a press that locates: the compound fills what the press leaves. */
    case Compound = 'compound';
}
