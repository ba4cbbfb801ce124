<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\PressAdvice;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\Chamfer;

/** Order of operations for a plain bush. Source of the rules: common practice of the trade. */
final class BushOrder
{
    /** Lead-in chamfers, mm. Common practice. */
    private const LEAD_MM = [1.0, 3.0];

    /**
     * @param  Band  $outside  make limits of the outside, mm
     * @param  ?Band  $boreBefore  bore to leave before pressing; null when it can only be finished in place
     * @param  Band  $boreAfter  bore after pressing, mm
     * @param  Band  $length  mm
     * @param  bool  $finishInPlace  the bore is finished after pressing
     * @return list<Step>
     */
    public static function of(
        Band $outside,
        ?Band $boreBefore,
        Band $boreAfter,
        Band $length,
        bool $finishInPlace,
        bool $sintered = false,
        bool $bonded = false,
    ): array {
        $wall = ($outside->middleMm() - $boreAfter->middleMm()) / 2;
        $thin = PressAdvice::isThin($wall, $outside->middleMm());
        $od = ['od' => LengthWriter::upper($outside), 'od_min' => LengthWriter::lower($outside)];
        $finishOutside = new Step(
            'finish-outside',
            Say::with(
                'Turn the outside to {od}, stop anywhere down to {od_min}. Two equal last cuts, then a spring pass.',
                $od,
            ),
            'The fit is made last, when nothing hot or heavy follows.',
            'fits last',
        );
        $reserve = $boreAfter->lowerMm - StockInPlace::mm($boreAfter->lowerMm);
        $bore = match (true) {
            $finishInPlace => new Step(
                'rough-bore',
                Say::with('Bore to about {b}, and leave the rest for after pressing.', [
                    'b' => LengthWriter::size($reserve),
                ]),
                'It closes when pressed, and by how much is not sure enough to cut to now.',
                'finish in place',
            ),
            $sintered || $boreBefore === null => new Step(
                'finish-bore',
                Say::with('Bring the bore to {a} … {b}.', [
                    'a' => LengthWriter::lower($boreAfter),
                    'b' => LengthWriter::upper($boreAfter),
                ]),
                'Nothing closes it afterwards.',
                'fits last',
            ),
            default => new Step(
                'finish-bore',
                Say::with('Bore to {a} … {b}: it closes when pressed.', [
                    'a' => LengthWriter::lower($boreBefore),
                    'b' => LengthWriter::upper($boreBefore),
                ]),
                'Same chucking as the outside, so the two run true to each other.',
                'one chucking',
            ),
        };
        $steps = [
            new Step(
                'mates',
                Say::plain('Measure housing and shaft first, cool, at several places.'),
                'The bush is made to them, not to a drawing.',
                'mates first',
            ),
            new Step(
                'blank',
                Say::with(
                    'Saw a blank {l} long or more: the bush, both faces, the parting cut, and what the jaws hold.',
                    ['l' => LengthWriter::about($length->upperMm + 6 + max(15.0, $outside->upperMm * 0.5))],
                ),
                'Outside, bore and one face come out of one chucking.',
                'one chucking',
            ),
            new Step(
                'rough',
                Say::with('Face, drill, rough the outside to about {od_rough} and the bore under size. Let it cool.', [
                    'od_rough' => LengthWriter::about($outside->upperMm + 0.5),
                ]),
                'Roughing heats and springs it; a warm part measures large and ends up small.',
                'rough all, then finish',
            ),
        ];
        array_push(
            $steps,
            ...$thin
                ? [
                    new Step(
                        $bore->code,
                        $bore->do,
                        'Bore first, while the wall is thick: '.lcfirst($bore->why),
                        'thin wall: bore first',
                    ),
                    new Step(
                        'plug',
                        Say::plain('Plug the bore with a turned plug and bring up the tailstock.'),
                        'A thin wall squeezed by the tool springs away and comes out oval.',
                        'thin wall: bore first',
                    ),
                    $finishOutside,
                ]
                : [$bore, $finishOutside],
        );
        $steps[] = new Step(
            'chamfer',
            Say::with('Chamfer the leading end 10 to 20° per side, {l} long; break the other edges.', [
                'l' => self::leadIn($wall),
            ]),
            'A sharp corner shaves the housing and starts crooked.',
            'lead-in',
        );
        $steps[] = new Step(
            'part',
            Say::with('Part off, face to length {a} … {b}, deburr.', [
                'a' => LengthWriter::lower($length),
                'b' => LengthWriter::upper($length),
            ]),
            'Long overhang is gone only now; length is not critical to the fits.',
            'part off last',
        );
        $steps[] = $bonded
            ? new Step(
                'bond',
                Say::plain(
                    'Degrease both, bond it in, wipe off what comes out, and let it cure before anything is cut.',
                ),
                'A film that is disturbed while it cures holds nothing.',
                'assembly',
            )
            : new Step(
                'press',
                Say::plain('Press it in, straight, with a guide.'),
                'Feel the force rise evenly.',
                'assembly',
            );
        if ($finishInPlace) {
            $steps[] = new Step(
                'finish-bore-in-place',
                Say::with(
                    $sintered
                        ? 'Size the bore on a mandrel to {a} … {b}. Never ream it: that smears the pores shut.'
                        : 'Bore or ream in place to {a} … {b}.',
                    ['a' => LengthWriter::lower($boreAfter), 'b' => LengthWriter::upper($boreAfter)],
                ),
                $thin
                    ? 'A thin wall follows the housing: only now is its bore round.'
                    : 'Whatever it closed by, the shaft meets the size it needs.',
                'finish in place',
            );
        }
        $steps[] = new Step(
            'try',
            Say::plain('Try the shaft, clean and oiled: it turns by hand, no tight spot.'),
            'Found now it costs a pass with the reamer; found later, the job.',
            'test-fit',
        );

        return $steps;
    }

    /** How long a lead-in chamfer is: 1 to 3 mm, and no deeper than half the wall at 20° per side. Common practice. */
    public static function leadIn(?float $wallMm = null): Say
    {
        $most =
            $wallMm === null
                ? self::LEAD_MM[1]
                : min(self::LEAD_MM[1], floor((10 * Chamfer::OF_WALL * $wallMm) / tan(deg2rad(20)) + 1e-9) / 10);
        $in = static fn (float $mm): string => number_format($mm / 25.4, 2);
        $mm = static fn (float $mm): string => rtrim(rtrim(number_format($mm, 1), '0'), '.');

        return $most > self::LEAD_MM[0]
            ? new Say(
                "{$in(self::LEAD_MM[0])} to {$in($most)} in",
                "{$mm(self::LEAD_MM[0])} to {$mm($most)} mm",
                "{$in(self::LEAD_MM[0])} to {$in($most)} in ({$mm(self::LEAD_MM[0])} to {$mm($most)} mm)",
            )
            : Say::with('{d} at most, half the wall,', ['d' => LengthWriter::difference($most)]);
    }
}
