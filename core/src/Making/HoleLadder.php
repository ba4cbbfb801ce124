<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * How a hole comes about in solid metal: centre, pilot, drills, and what brings it to size. Common practice, no
 * source.
 */
final class HoleLadder
{
    /** Larger holes are bored out of what a drill of this size leaves, mm. */
    private const LARGEST_DRILL_MM = 25.4;

    private const SMALLEST_DRILL_MM = 0.3;

    /** A drill needs no pilot up to here; its web is about a fifth of it. */
    private const NO_PILOT_MM = 10.0;

    private const WEB = 0.2;

    /** The point of a drill of 118°: so much of its size deeper. */
    private const POINT = 0.3;

    /** What a drill is left under for a reamer, up to which size, mm. */
    private const UNDER_REAMER = [[5.0, 0.15], [10.0, 0.2], [20.0, 0.3], [INF, 0.4]];

    /** A drill so much smaller than wanted leaves more than a reamer takes, mm. Common practice. */
    private const FAR_MM = 0.5;

    /** What is left for the boring bar to true the hole by, mm. */
    private const UNDER_BAR_MM = 1.0;

    /**
     * @param  Band  $finish  limits of the hole, mm
     * @param  ?float  $deepMm  of a blind one
     * @param  ?HoleTools  $tools  of the drawer; null: nobody said
     * @return list<Say> in order
     */
    public static function steps(Band $finish, ?float $deepMm, ?HoleTools $tools = null): array
    {
        $tools ??= HoleTools::unsaid();
        $reamer = $tools->reamerFor($finish->lowerMm, $finish->upperMm);
        $wanted = max(self::SMALLEST_DRILL_MM, min(
            self::LARGEST_DRILL_MM,
            $reamer === null ? $finish->lowerMm - self::UNDER_BAR_MM : $reamer[1] - self::underReamer($reamer[1]),
        ));
        $drill = $tools->drillUpTo($wanted);
        if ($drill === null) {
            return [
                Say::with('No drill of the drawer is as small as {s}: buy one, or drill it with the next that is, and bore.', [
                    's' => LengthWriter::sizeInWords($wanted),
                ]),
            ];
        }
        [$label, $mm] = $drill;
        $steps = [Say::plain('Face it and centre-drill it, or spot it with a short stiff drill.')];
        if ($wanted - $mm > self::FAR_MM) {
            $steps[] = Say::with('The largest drill of the drawer below {w} is {s}: more is left for what follows, and it is bored up to it.', [
                'w' => LengthWriter::sizeInWords($wanted),
                's' => LengthWriter::sizeInWords($mm),
            ]);
        }
        if ($mm > self::NO_PILOT_MM) {
            $pilot = $tools->drillUpTo(max(3.0, self::WEB * $mm + 0.5));
            $steps[] = Say::plain($pilot === null
                ? 'Pilot it with the smallest drill there is: the web of the next one does not cut.'
                : "Pilot {$pilot[0]}, just over the web of the next drill.");
        }
        $steps[] = Say::with(
            "Drill {$label} ({s}); it cuts about {o} over, more where its lips are ground unevenly."
                .($deepMm === null ? '' : ' Blind: {d} to its full size, its point {p} deeper.'),
            [
                's' => LengthWriter::size($mm),
                'o' => LengthWriter::difference(0.05 + 0.005 * $mm),
                'd' => LengthWriter::size($deepMm ?? 0.0),
                'p' => LengthWriter::size(self::POINT * $mm),
            ],
        );
        $none = $tools->reamersAreSaid() ? 'No reamer of the drawer' : 'No usual reamer';
        $steps[] = $reamer === null
            ? Say::with("{$none} gives it: bore it, {a} to {b}. A bar trues the hole, a reamer follows it.", [
                'a' => LengthWriter::lower($finish),
                'b' => LengthWriter::upper($finish),
            ])
            : Say::with("Ream {$reamer[0]} ({r}): it comes out inside {a} to {b}. Slow, oiled, never turned backward; try it in scrap of the same metal.".($tools->reamersAreSaid() ? '' : ' If the drawer has one: under Shop nobody said which there are.'), [
                'r' => LengthWriter::size($reamer[1]),
                'a' => LengthWriter::lower($finish),
                'b' => LengthWriter::upper($finish),
            ]);

        return $steps;
    }

    private static function underReamer(float $mm): float
    {
        foreach (self::UNDER_REAMER as [$to, $under]) {
            if ($mm <= $to) {
                return $under;
            }
        }

        return self::UNDER_REAMER[3][1];
    }
}
