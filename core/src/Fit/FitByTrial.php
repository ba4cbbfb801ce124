<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * Where the gauge is too coarse, the mate is the gauge: each trial of the made part in it bounds how large the mate is.
 * Source: common practice of fitting by trial.
 */
final readonly class FitByTrial
{
    /** How far the first trial is left proud, beside the doubt, mm. Common practice. */
    public const PROUD_MM = 0.05;

    /** Less than this is not cut, mm. */
    private const LEAST_MM = 0.0005;

    /**
     * @param  Range  $mate  the mate's size after all trials, mm
     * @param  bool  $contradicts  the trials can't all be true of one mate
     * @param  float  $startMm  the size of the made part to try first
     * @param  ?float  $nextMm  the size to cut to before the next trial; null: it fits, or is past where it fits
     * @param  'start'|'cut'|'may-fit'|'fits'|'past'  $state
     */
    private function __construct(
        public Range $mate,
        public bool $contradicts,
        public float $startMm,
        public ?float $nextMm,
        public string $state,
        public Working $working,
    ) {
    }

    /**
     * @param  bool  $makeShaft  the inner part is made to a bore
     * @param  float  $mateMm  the mate as it was read, mm, above 0
     * @param  float  $u95Mm  how sure that is, 0 or more
     * @param  Range  $wanted  clearance, mm
     * @param  list<array{made: float, seen: string}>  $tries  the made size at each, mm, and what was seen, oldest first
     * @param  ?float  $nowMm  the made part as it is now, mm; null while nothing is cut
     *
     * The next cut takes half of what is left to the likely size, or what is sure to be needed where that is more, and
     * never so much that the part could be loose in any mate there may be.
     *
     * @throws BadInput for a size not above 0, an uncertainty below 0, something seen that no table has
     */
    public static function of(
        bool $makeShaft,
        float $mateMm,
        float $u95Mm,
        Range $wanted,
        array $tries,
        ?float $nowMm,
    ): self {
        if (! ($mateMm > 0)) {
            throw new BadInput('size', 'mate_mm', 'The mate needs a size above zero. Measure it first, however coarsely.');
        }
        if (! ($u95Mm >= 0)) {
            throw new BadInput('u95', 'u95_mm', 'The uncertainty of the mate cannot be below zero.');
        }
        [$low, $high] = [$mateMm - $u95Mm, $mateMm + $u95Mm];
        $steps = [];
        foreach ($tries as $try) {
            [$least, $most] = self::clearance($try['seen']);
            // A bore made to a shaft: the shaft is the bore less the clearance.
            [$from, $to] = $makeShaft
                ? [$try['made'] + ($least ?? -INF), $try['made'] + ($most ?? INF)]
                : [$try['made'] - ($most ?? INF), $try['made'] - ($least ?? -INF)];
            $low = max($low, $from);
            $high = min($high, $to);
            $steps[] = new WorkingStep(
                "Tried at its size: {$try['seen']}",
                'the mate is the made size and the clearance that is felt so',
                Say::with('made {m}: the mate is {a} to {b}', [
                    'm' => LengthWriter::size($try['made']),
                    'a' => is_finite($from) ? LengthWriter::size($from) : Say::plain('anything'),
                    'b' => is_finite($to) ? LengthWriter::size($to) : Say::plain('anything'),
                ]),
                'common practice of fitting by trial, no source',
            );
        }
        $contradicts = $low > $high;
        $mate = $contradicts ? new Range(min($low, $high), max($low, $high)) : new Range($low, $high);
        $sign = $makeShaft ? -1.0 : 1.0;
        $start = $mateMm - $sign * ($u95Mm + self::PROUD_MM);
        [$next, $state] = self::next($makeShaft, $mate, $wanted, $nowMm, $start);

        return new self(
            mate: $mate,
            contradicts: $contradicts,
            startMm: $start,
            nextMm: $contradicts ? null : $next,
            state: $state,
            working: new Working($steps),
        );
    }

    /** @return array{?float, 'start'|'cut'|'may-fit'|'fits'|'past'} */
    private static function next(bool $makeShaft, Range $mate, Range $wanted, ?float $now, float $start): array
    {
        if ($now === null) {
            return [$start, 'start'];
        }
        // Clearance as it is, in the smallest and in the largest mate there may be.
        $clear = $makeShaft
            ? new Range($mate->min - $now, $mate->max - $now)
            : new Range($now - $mate->max, $now - $mate->min);
        if ($clear->min >= $wanted->min && $clear->max <= $wanted->max) {
            return [null, 'fits'];
        }
        if ($clear->min > $wanted->max) {
            return [null, 'past'];
        }
        $left = $wanted->middle() - $clear->middle();
        // As much as is sure to be needed is taken at once; else half of what is left; never so much that it could be
        // loose where there is the most clearance already.
        $take = min(max($left / 2, $wanted->min - $clear->max), $wanted->max - $clear->max);
        if ($take < self::LEAST_MM) {
            return [null, 'may-fit'];
        }

        return [$makeShaft ? $now - $take : $now + $take, $clear->max >= $wanted->min ? 'may-fit' : 'cut'];
    }

    /**
     * @return array{?float, ?float} least and most clearance that is felt so, mm; null: no bound
     *
     * @throws BadInput where no table has it
     */
    private static function clearance(string $seen): array
    {
        /** @var list<array{seen: string, least_mm: ?float, most_mm: ?float}> $rows */
        $rows = Table::rows('trial-feels');
        foreach ($rows as $row) {
            if ($row['seen'] === $seen) {
                return [$row['least_mm'], $row['most_mm']];
            }
        }
        throw new BadInput('seen', 'seen', "“{$seen}” says nothing about a fit. Choose what was seen from the list.");
    }
}
