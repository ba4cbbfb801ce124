<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Hardness;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Making\Treatment;

/** What a surface's own state means for its line of the make card: hardened, ground, plated, built up. */
final readonly class TreatedSurfaces
{
    public function __construct(private JobFacts $facts)
    {
    }

    public function on(MakeEntry $entry): MakeEntry
    {
        $surface = $entry->surface;
        $treatment = Treatment::orNull($surface->treated);
        // Its part is there: what was done to it, is done.
        $isThere = $surface->work !== null;
        $notes = $treatment === null ? [] : [$isThere ? $treatment->cutting() : $treatment->making()];
        $taken = $surface->hardness ?? (
            $isThere && $treatment === null ? $this->facts->partOf($surface)->hardness : null
        );
        if ($taken !== null && $isThere) {
            try {
                $hard = Treatment::hardness(Hardness::of($taken->scale, $taken->value));
            } catch (BadInput) {
                // Said where it was typed.
                $hard = null;
            }
            $notes = [...$notes, ...$hard === null ? [] : [$hard]];
        }

        return $notes === [] ? $entry : $entry->with([], $notes);
    }
}
