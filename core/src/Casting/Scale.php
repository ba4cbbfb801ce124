<?php

declare(strict_types=1);

namespace Oldpart\Core\Casting;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Number\StudentT;

/** Sizes of a sister machine brought to ours, by sizes that are known of both; mm. */
final readonly class Scale
{
    private function __construct(
        public float $ratio,
        /** Largest less smallest of the single ratios. */
        public float $spread,
        /** Of the ratio. */
        public float $u95,
    ) {
    }

    /**
     * Least squares through zero, weighted by 1/u² where that is said; else as sure as the pairs agree.
     *
     * @param  list<array{theirs: float, ours: float, u95: ?float}>  $pairs  one at least
     *
     * @throws BadInput for no pairs, or sizes of nothing
     */
    public static function of(array $pairs): self
    {
        if ($pairs === []) {
            throw new BadInput('pairs', 'pairs', 'Name one size at least that is known of both machines.');
        }
        [$top, $bottom, $ratios] = [0.0, 0.0, []];
        $weighted = array_filter($pairs, static fn (array $p): bool => $p['u95'] === null) === [];
        foreach ($pairs as $i => $p) {
            if (! ($p['theirs'] > 0) || ! ($p['ours'] > 0)) {
                throw new BadInput('pair', "pairs.{$i}.theirs_mm", 'Sizes of both machines are above zero.');
            }
            if ($p['u95'] !== null && ! ($p['u95'] > 0)) {
                throw new BadInput('u95', "pairs.{$i}.u95_mm", 'An uncertainty is above zero; leave it out where it is not known.');
            }
            $weight = $weighted ? 1 / (float) $p['u95'] ** 2 : 1.0;
            $top += $weight * $p['theirs'] * $p['ours'];
            $bottom += $weight * $p['theirs'] ** 2;
            $ratios[] = $p['ours'] / $p['theirs'];
        }
        $ratio = $top / $bottom;
        $n = count($pairs);
        $left = 0.0;
        foreach ($pairs as $p) {
            $left += ($p['ours'] - $ratio * $p['theirs']) ** 2;
        }
        $u95 = match (true) {
            $weighted => 1 / sqrt($bottom),
            $n > 1 => StudentT::k95((float) ($n - 1)) * sqrt($left / ($n - 1) / $bottom),
            default => 0.0,
        };

        return new self($ratio, max($ratios) - min($ratios), $u95);
    }
}
