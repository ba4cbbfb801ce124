<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Practice\Drawn;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Practice\Truth;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** What is drawn for free practice, over many numbers, against what docs/practice.md says is drawn. */
final class TruthTest extends TestCase
{
    private const MANY = 150;

    /** Wear is exponential with a mean of 12, 20 and 30 µm, cut off at six times that; form and burrs as the level has them. */
    public function test_what_wear_and_form_are_like(): void
    {
        foreach ([[Level::Easy, 0.012, 0.0, 0.0], [Level::Fair, 0.02, 0.006, 0.15], [Level::Hard, 0.03, 0.012, 0.3]] as [$level, $wear, $form, $burrs]) {
            $drawn = ['wear' => [], 'oval' => [], 'taper' => [], 'lobes' => [], 'burr' => []];
            foreach ($this->truths($level) as [$truth, $laid]) {
                foreach ($laid->surfaces as $surface) {
                    $true = $truth->surfaces[$surface->id] ?? null;
                    if ($true === null || $surface->kind->value === 'length' || $laid->partOf($surface)->origin !== Origin::Found) {
                        continue;
                    }
                    $new = ($surface->kind->value === 'bore' ? floor(...) : ceil(...))($true->shape->sizeMm * 2 + ($surface->kind->value === 'bore' ? 1e-6 : -1e-6)) / 2;
                    $drawn['wear'][] = abs($true->shape->sizeMm - $new);
                    $drawn['oval'][] = $true->shape->ovalityMm;
                    $drawn['taper'][] = $true->shape->taperMm;
                    $drawn['lobes'][] = $true->shape->lobesMm;
                    $drawn['burr'][] = $true->burrMm;
                }
            }
            self::assertEqualsWithDelta($wear, $this->mean($drawn['wear']), 0.15 * $wear, $level->value);
            self::assertLessThanOrEqual(6 * $wear + 1e-9, max($drawn['wear']));
            // A mean of 6 or 12 µm, cut off at 40 (which takes a little of the second).
            self::assertEqualsWithDelta($form * (1 - exp(-0.04 / max(1e-9, $form))), $this->mean($drawn['oval']), 0.12 * $form + 1e-4);
            self::assertLessThanOrEqual(0.04, max($drawn['oval']));
            // Taper either way, by a normal of 6 or 12 µm, cut off at 30.
            self::assertEqualsWithDelta(0.0, $this->mean($drawn['taper']), 0.12 * $form + 1e-9);
            self::assertEqualsWithDelta($form, sqrt($this->mean(array_map(static fn (float $t): float => $t ** 2, $drawn['taper']))), 0.12 * $form + 1e-9);
            self::assertLessThanOrEqual(0.03, max(array_map(abs(...), $drawn['taper'])));
            // Lobes are of the hard ones alone: 2 µm in the mean, 8 at most.
            self::assertEqualsWithDelta($level === Level::Hard ? 0.002 * (1 - exp(-4.0)) : 0.0, $this->mean($drawn['lobes']), 0.0003);
            self::assertLessThanOrEqual(0.008, max($drawn['lobes']));
            $burred = array_filter($drawn['burr'], static fn (float $b): bool => $b > 0);
            self::assertEqualsWithDelta($burrs, count($burred) / count($drawn['burr']), 0.06);
            if ($burred !== []) {
                self::assertGreaterThanOrEqual(0.02, min($burred));
                self::assertLessThanOrEqual(0.14, max($burred));
                self::assertEqualsWithDelta(0.04, $this->mean($burred), 0.005);
            }
        }
    }

    /** Gauges are within what they may be; of a hard job one that is used for bores and shafts is two to four times beyond. */
    public function test_one_gauge_of_a_hard_job_is_off(): void
    {
        $beyond = static function (Truth $truth, object $laid): array {
            $beyond = [];
            foreach ($laid->shop->instruments->all() as $tool) {
                // Three standard deviations of the ring it was set on.
                $may = $tool->mpeMm + 1.5 * $tool->masterUMm;
                $error = $truth->gaugeErrors[$tool->code];
                if (abs($error) > $may) {
                    $beyond[$tool->code] = $error;
                }
            }

            return $beyond;
        };
        $which = $signs = $off = [];
        foreach ($this->truths(Level::Hard) as [$truth, $laid]) {
            $its = $beyond($truth, $laid);
            foreach ($its as $code => $error) {
                if (! in_array($code, ['outside-micrometer', 'three-point', 'telescoping'], true)) {
                    continue;
                }
                $most = max(0.012, 4 * Instrument::named($code)->mpeMm);
                self::assertLessThanOrEqual($most + 1e-9, abs($error));
                self::assertGreaterThanOrEqual(max(0.012, 2 * Instrument::named($code)->mpeMm) - 1e-9, abs($error));
                $which[$code] = ($which[$code] ?? 0) + 1;
                $signs[] = $error <=> 0;
                $off[] = abs($error);
            }
        }
        // Each of the three about as often, large as often as small.
        self::assertCount(3, $which);
        foreach ($which as $times) {
            self::assertEqualsWithDelta(self::MANY / 3, $times, 20);
        }
        self::assertEqualsWithDelta(0.0, $this->mean($signs), 0.3);
        // Of 4 µm that is 8 to 16, and 12 at least: half of them 12, the others 14 in the mean.
        self::assertEqualsWithDelta(0.013, $this->mean($off), 0.0004);
        // Below that level none is; what each has is spread evenly over what it may have: a mean square of a third.
        $shares = [];
        foreach ($this->truths(Level::Fair) as [$truth]) {
            $tool = Instrument::named('outside-micrometer');
            self::assertSame(0.0, $tool->masterUMm);
            $shares[] = $truth->gaugeErrors['outside-micrometer'] / $tool->mpeMm;
        }
        self::assertEqualsWithDelta(1 / 3, $this->mean(array_map(static fn (float $s): float => $s ** 2, $shares)), 0.06);
        self::assertLessThanOrEqual(1.0, max($shares));
        self::assertLessThan(-0.8, min($shares));
    }

    /** A hard lesson is about its own mistake: no gauge is off besides. */
    public function test_a_lesson_has_no_other_mistake(): void
    {
        foreach (range(1, 30) as $seed) {
            $bench = Benches::lesson('thin-wall', $seed);
            foreach (['outside-micrometer', 'telescoping'] as $code) {
                self::assertLessThanOrEqual(Instrument::named($code)->mpeMm, abs($bench->shop->truth->gaugeErrors[$code]));
            }
            self::assertSame([], $bench->shop->truth->warm);
        }
    }

    /** A found part of a hard job comes in warm one time in four, six to twenty degrees over the room. */
    public function test_some_parts_come_in_warm(): void
    {
        $found = 0;
        $over = [];
        foreach ($this->truths(Level::Hard) as [$truth, $laid]) {
            foreach ($laid->parts as $part) {
                if ($part->origin !== Origin::Found) {
                    self::assertArrayNotHasKey($part->id, $truth->warm);

                    continue;
                }
                $found++;
                if (isset($truth->warm[$part->id])) {
                    $over[] = $truth->warm[$part->id] - $truth->roomC;
                }
            }
        }
        self::assertEqualsWithDelta(0.25, count($over) / $found, 0.07);
        self::assertGreaterThanOrEqual(6.0 - 1e-9, min($over));
        self::assertLessThanOrEqual(20.0 + 1e-9, max($over));
        self::assertEqualsWithDelta(13.0, $this->mean($over), 1.2);
        foreach ($this->truths(Level::Fair) as [$truth]) {
            self::assertSame([], $truth->warm);
        }
    }

    /** The lathe of each level: how much it gives, its lost motion, its taper in 100 mm. */
    public function test_what_the_lathe_is_like(): void
    {
        $lathes = [];
        foreach (Level::cases() as $level) {
            foreach ($this->truths($level) as [$truth]) {
                $lathes[$level->value][] = $truth->lathe;
            }
        }
        foreach ($lathes['easy'] as $lathe) {
            self::assertSame([0.04, 0.0, 0.002, 0.0015], [$lathe->springs, $lathe->backlashMm, $lathe->taperPer100, $lathe->scatterMm]);
        }
        foreach (['fair', 'hard'] as $level) {
            $springs = array_column($lathes[$level], 'springs');
            self::assertEqualsWithDelta([0.03, 0.12], [min($springs), max($springs)], 0.006);
            self::assertEqualsWithDelta(0.075, $this->mean($springs), 0.007);
            $tapers = array_column($lathes[$level], 'taperPer100');
            self::assertEqualsWithDelta(0.006, sqrt($this->mean(array_map(static fn (float $t): float => $t ** 2, $tapers))), 0.0012);
            self::assertSame([0.0025], array_values(array_unique(array_column($lathes[$level], 'scatterMm'))));
        }
        self::assertSame(0.0, max(array_column($lathes['fair'], 'backlashMm')));
        $lost = array_column($lathes['hard'], 'backlashMm');
        self::assertEqualsWithDelta([0.01, 0.06], [min($lost), max($lost)], 0.004);
        self::assertEqualsWithDelta(0.035, $this->mean($lost), 0.004);
    }

    /** The job is 0.85 to 1.25 times as large as it is drawn; the room is 20 °C, or about that, to a tenth. */
    public function test_sizes_and_the_room(): void
    {
        $scales = $rooms = [];
        $fair = Lesson::free('plain-bush', Level::Fair, Unit::Millimetre);
        for ($seed = 1; $seed <= 400; $seed++) {
            $scales[] = Drawn::scale($fair, $seed);
            $rooms[] = Drawn::roomC($fair, $seed);
            self::assertSame(20.0, Drawn::roomC(Lesson::free('plain-bush', Level::Easy, Unit::Millimetre), $seed));
        }
        self::assertEqualsWithDelta([0.85, 1.25, 1.05], [min($scales), max($scales), $this->mean($scales)], 0.012);
        self::assertEqualsWithDelta(20.0, $this->mean($rooms), 0.25);
        self::assertEqualsWithDelta(1.5, sqrt($this->mean(array_map(static fn (float $c): float => ($c - 20) ** 2, $rooms))), 0.17);
        foreach ($rooms as $c) {
            self::assertEqualsWithDelta(round($c, 1), $c, 1e-9);
        }
        // To half a millimetre or a sixteenth, never to nothing.
        self::assertSame([0.5, 12.5, 12.0], [
            Drawn::nominalMm(0.1, 1.0, Unit::Millimetre),
            Drawn::nominalMm(10.0, 1.24, Unit::Millimetre),
            Drawn::nominalMm(10.0, 1.22, Unit::Millimetre),
        ]);
        self::assertEqualsWithDelta([25.4 / 16, 25.4 * 7 / 16], [Drawn::nominalMm(0.1, 1.0, Unit::Inch), Drawn::nominalMm(11.0, 1.0, Unit::Inch)], 1e-9);
    }

    /** A blank: 2 mm more outside and along, 2 less in a bore, but never less than a millimetre. */
    public function test_what_a_blank_is_like(): void
    {
        foreach ($this->truths(Level::Easy) as [$truth, $laid]) {
            $of = array_column($laid->surfaces, 'id', 'name');
            $outside = $truth->surfaces[$of['Bush outside']]->shape->sizeMm;
            $bore = $truth->surfaces[$of['Bush bore']]->shape->sizeMm;
            self::assertEqualsWithDelta(0.0, fmod($outside * 2, 1), 1e-9);
            self::assertEqualsWithDelta(round(2 * $truth->surfaces[$of['Housing bore']]->shape->sizeMm - 0.05) / 2 + 2, $outside, 0.51);
            self::assertEqualsWithDelta(round(2 * $truth->surfaces[$of['Shaft journal']]->shape->sizeMm + 0.05) / 2 - 2, $bore, 0.51);
            self::assertSame(0.0, $truth->surfaces[$of['Bush bore']]->shape->ovalityMm);
        }
    }

    /** @var array<string, list<array{Truth, JobFacts}>> */
    private static array $drawn = [];

    /** @return list<array{Truth, JobFacts}> */
    private function truths(Level $level): array
    {
        return self::$drawn[$level->value] ??= array_map(static function (int $seed) use ($level): array {
            $bench = new Benches(Lesson::free('plain-bush', $level, Unit::Millimetre), $seed);

            return [$bench->shop->truth, $bench->shop->laid];
        }, range(1, self::MANY));
    }

    /** @param  list<float|int>  $of */
    private function mean(array $of): float
    {
        return array_sum($of) / max(1, count($of));
    }
}
