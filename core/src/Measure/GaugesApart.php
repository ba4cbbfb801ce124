<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** Two gauges that were tried at the same places, and how far they are apart there. */
final readonly class GaugesApart
{
    private function __construct(
        public string $one,
        public string $other,
        /** By how much the one reads more, mm. */
        public float $moreMm,
        /** How far apart the two may be by what is known of them, mm, 95 of 100. */
        public float $mayMm,
    ) {
    }

    /**
     * @param  list<WeighedReading>  $readings
     * @param  array<string, float>  $shifts  by how much each gauge may be off, one standard deviation, mm
     * @return list<self> every two gauges that share a place
     */
    public static function in(array $readings, array $shifts): array
    {
        $at = [];
        foreach ($readings as $r) {
            $at[$r->doubt->gauge][$r->read->spot][] = $r;
        }
        $pairs = [];
        $gauges = array_keys($at);
        foreach ($gauges as $i => $one) {
            foreach (array_slice($gauges, $i + 1) as $other) {
                $shared = array_keys(array_intersect_key($at[$one], $at[$other]));
                if ($shared === []) {
                    continue;
                }
                [$more, $variance] = [0.0, 0.0];
                foreach ($shared as $spot) {
                    $more += self::mean($at[$one][$spot]) - self::mean($at[$other][$spot]);
                    $variance += self::variance($at[$one][$spot]) + self::variance($at[$other][$spot]);
                }
                $n = count($shared);
                $pairs[] = new self(
                    (string) $one,
                    (string) $other,
                    $more / $n,
                    2 * sqrt($variance / $n ** 2 + $shifts[$one] ** 2 + $shifts[$other] ** 2),
                );
            }
        }

        return $pairs;
    }

    public function disagree(): bool
    {
        return $this->ratio() > 1;
    }

    private function ratio(): float
    {
        return abs($this->moreMm) / $this->mayMm;
    }

    /**
     * By how much the doubts of what was read with them grow: until the two furthest apart could both be right.
     *
     * @param  list<self>  $pairs
     */
    public static function widens(array $pairs): float
    {
        return max([1.0, ...array_map(static fn (self $p): float => $p->ratio(), $pairs)]);
    }

    /**
     * @param  list<self>  $pairs
     * @param  array<string, string>  $names
     * @param  array<string, float>  $shifts
     * @return list<Note> which stands apart, what to believe until then, and what would settle it
     */
    public static function notes(array $pairs, array $names, array $shifts): array
    {
        $off = array_values(array_filter($pairs, static fn (self $p): bool => $p->disagree()));
        if ($off === []) {
            return [];
        }
        $alone = self::alone($pairs);
        usort($off, static fn (self $a, self $b): int => $b->ratio() <=> $a->ratio());
        $worst = $off[0];
        $name = static fn (string $gauge): string => 'the '.lcfirst($names[$gauge]);
        $values = [
            'd' => LengthWriter::difference(abs($worst->moreMm)),
            'may' => LengthWriter::difference($worst->mayMm),
        ];
        if ($alone !== null) {
            $more = $worst->one === $alone ? $worst->moreMm : -$worst->moreMm;

            return [
                Note::caution(
                    'gauge-apart',
                    Say::with(
                        ucfirst($name($alone)).' stands alone: it reads {d} '.($more > 0 ? 'more' : 'less').
                            ' than the others, which agree, where {may} could be. Believe the others, and set its readings aside; a check of it on a master of about this size settles it.',
                        $values,
                    ),
                ),
            ];
        }
        [$sure, $less] = $shifts[$worst->one] <= $shifts[$worst->other]
            ? [$worst->one, $worst->other]
            : [$worst->other, $worst->one];
        $more = $worst->one === $less ? $worst->moreMm : -$worst->moreMm;

        return [
            Note::caution(
                'gauges-disagree',
                Say::with(
                    ucfirst($name($less)).' reads {d} '.($more > 0 ? 'more' : 'less').' than '.$name($sure).
                        ', where {may} could be: one of them is off. Until it is known which, both are taken with a wider doubt. '.
                        ucfirst($name($sure)).
                        ' is the surer by its figures; a check of both on one master of about this size settles it.',
                    $values,
                ),
            ),
        ];
    }

    /**
     * The one that disagrees with every other it shares a place with, two at least, while those agree.
     *
     * @param  list<self>  $pairs
     */
    private static function alone(array $pairs): ?string
    {
        $alone = [];
        foreach (array_unique([...array_column($pairs, 'one'), ...array_column($pairs, 'other')]) as $gauge) {
            $its = array_filter($pairs, static fn (self $p): bool => $p->one === $gauge || $p->other === $gauge);
            $off = array_filter($its, static fn (self $p): bool => $p->disagree());
            $rest = array_filter(
                $pairs,
                static fn (self $p): bool => $p->one !== $gauge && $p->other !== $gauge && $p->disagree(),
            );
            if (count($its) > 1 && count($off) === count($its) && $rest === []) {
                $alone[] = $gauge;
            }
        }

        return count($alone) === 1 ? $alone[0] : null;
    }

    /** @param  non-empty-list<WeighedReading>  $readings */
    private static function mean(array $readings): float
    {
        return array_sum(array_map(static fn (WeighedReading $r): float => $r->mm, $readings)) / count($readings);
    }

    /** @param  non-empty-list<WeighedReading>  $readings */
    private static function variance(array $readings): float
    {
        return array_sum(array_map(static fn (WeighedReading $r): float => $r->scatterMm ** 2, $readings))
            / count($readings) ** 2;
    }
}
