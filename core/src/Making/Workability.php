<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Material;

/**
 * What a material allows: can it be cut, welded, pressed; each with what follows. Source: common practice of the trade.
 */
final class Workability
{
    /** From here on a file skates and tools wear: HRC. */
    public const HARD_HRC = 40.0;

    /**
     * @param  ?float  $hrc  its hardness where it was taken
     * @return list<Note>
     */
    public static function of(Material $material, ?float $hrc = null): array
    {
        $hard = ($hrc !== null && $hrc >= self::HARD_HRC) || ($hrc === null && $material->machine === 'grind');

        return [
            self::cutting($material, $hard, $hrc),
            self::welding($material, $hard),
            ...$material->brittle || $hard ? [self::brittle($material, $hard)] : [],
        ];
    }

    private static function cutting(Material $material, bool $hard, ?float $hrc): Note
    {
        return match (true) {
            $hard => Note::caution(
                'grind-only',
                'Hardened'.
                    ($hrc === null ? '' : ' ('.number_format($hrc).' HRC)').
                    ': grind only, or anneal it first and accept what that does.',
            ),
            $material->machine === 'easy' => Note::info('machines', 'Cuts easily.'),
            $material->machine === 'fair' => Note::info('machines', 'Cuts well with a sharp tool and coolant.'),
            $material->machine === 'rubs' => Note::caution(
                'never-rub',
                'Work-hardens: keep the feed up and never let the tool rub.',
            ),
            default => Note::caution('try-file', 'Not known: try a file on it before planning a cut.'),
        };
    }

    private static function welding(Material $material, bool $hard): Note
    {
        return match (true) {
            $hard => Note::caution('no-weld', 'Do not weld: it cracks and loses its hardness.'),
            $material->weld === 'yes' => Note::info('welds', 'Welds well.'),
            $material->weld === 'preheat' => Note::caution('preheat', 'Weld only with preheat and slow cooling.'),
            $material->weld === 'braze' => Note::caution('braze', 'Braze or bond rather than weld.'),
            $material->weld === 'softens' => Note::caution(
                'weld-softens',
                'Welding softens it beside the seam: leave stock and expect less strength.',
            ),
            $material->weld === 'ask' => Note::caution(
                'weld-ask',
                'Machinable does not mean weldable: find out what it is first.',
            ),
            default => Note::caution('no-weld', 'Do not weld it.'),
        };
    }

    private static function brittle(Material $material, bool $hard): Note
    {
        return Note::caution(
            'bond',
            $hard && ! $material->brittle
                ? 'Hard parts can shatter under a press: guard it, or shrink.'
                : 'Brittle: bond, don’t press, where the wall is thin or cracked; else press lightly, with a factor of at least 2.5.',
        );
    }
}
