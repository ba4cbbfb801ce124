<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * A loop that was tried together and closed otherwise than it should: which length explains that best. The likely share
 * of each in the difference goes by the square of its doubt. Source: generalised least squares with one condition; the
 * gap that was seen is taken for sure.
 */
final readonly class Explained
{
    /**
     * @param  float  $offMm  seen less expected
     * @param  ?Contributor  $best  the length that explains it best; null where no length has any doubt
     * @param  float  $byMm  how much that one is off, were it alone
     * @param  float  $share  how much of the likely cause it is, 0 to 1
     * @param  bool  $withinDoubt  one length can be off that much by its own doubt
     */
    private function __construct(
        public float $offMm,
        public ?Contributor $best,
        public float $byMm,
        public float $share,
        public bool $withinDoubt,
        public Working $working,
    ) {
    }

    /**
     * @param  non-empty-list<Contributor>  $contributors
     * @param  float  $seenMm  the gap that was seen; below zero: so far from home
     */
    public static function of(array $contributors, float $seenMm): self
    {
        $expected = array_sum(array_map(static fn (Contributor $c): float => $c->middleMm(), $contributors));
        $off = $seenMm - $expected;
        $best = null;
        $most = $all = 0.0;
        foreach ($contributors as $one) {
            $doubt = $one->weight * ($one->plusMm + $one->minusMm) / 2;
            $all += $doubt ** 2;
            if ($doubt > $most) {
                [$best, $most] = [$one, $doubt];
            }
        }
        $by = $best === null ? 0.0 : $off / ($best->direction * $best->weight);
        $within = $best !== null && abs($off) <= $most + 1e-9;

        return new self(
            offMm: $off,
            best: $best,
            byMm: $by,
            share: $all > 0 ? $most ** 2 / $all : 0.0,
            withinDoubt: $within,
            working: new Working([
                new WorkingStep(
                    'Seen less expected',
                    'off = gap seen − Σ ± lengths',
                    Say::with('{s} − {e} = {o}', [
                        's' => LengthWriter::signedDifference($seenMm),
                        'e' => LengthWriter::signedDifference($expected),
                        'o' => LengthWriter::signedDifference($off),
                    ]),
                    'the loop',
                ),
            ]),
        );
    }
}
