<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\ShopViews;
use Oldpart\Core\Evaluate\Making\RunningTrue;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\AxisPart;
use Oldpart\Core\Picture\BrokenAxis;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Shop\ShopDrawing;
use Oldpart\Core\Picture\Shop\ShopNote;
use Oldpart\Core\Picture\Shop\ShopSize;
use Oldpart\Core\Picture\Shop\ShopView;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Picture\TextWidth;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Shape\Profile;
use Oldpart\Core\Shape\Segment;
use Oldpart\Core\Tests\Evaluate\EachKind;
use Oldpart\Core\Tests\Evaluate\KindJob;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A drawing anyone would cut from: everything on it, and no text on another or on a line. */
final class ShopDrawingTest extends TestCase
{
    use KindJob;

    /** @return iterable<string, array{JobFacts}> */
    public static function jobs(): iterable
    {
        foreach (EachKind::jobs() as $kind => $facts) {
            yield $kind => [$facts];
        }
    }

    #[DataProvider('jobs')]
    public function test_no_text_meets_a_text_or_a_line(JobFacts $facts): void
    {
        $views = self::views($facts);
        foreach (array_keys($views->parts()) as $part) {
            $drawing = ShopDrawing::draw($views->of($part));
            if ($drawing !== null) {
                self::clear($drawing);
            }
        }
        foreach (array_keys($views->parts() + $views->plates()) as $part) {
            $face = $views->face($part)?->draw();
            if ($face !== null) {
                self::clear($face);
            }
        }
        $this->addToAssertionCount(1);
    }

    /** What is cut is on the face of a plate with both its limits; its thickness and its distances under it. */
    public function test_the_face_of_a_plate_carries_its_limits(): void
    {
        $this->job('lever')->read('Shaft end', 'outside-micrometer', '20.000')->read('Pin', 'outside-micrometer', '9.990');
        $facts = JobFacts::fromArray($this->facts);
        $lever = array_column($this->facts['parts'], 'id', 'name')['Lever'];
        $views = JobAnswers::of($facts)->shopViews($facts);
        $texts = self::texts($views->face($lever)?->draw());
        $band = $this->card('Hub bore')->band;
        self::assertNotNull($band);
        // A limit as it is written never lies outside the band.
        $lower = number_format(ceil($band->lowerMm * 1000) / 1000, 3);
        $upper = number_format(floor($band->upperMm * 1000) / 1000, 3);
        self::assertContains("⌀ {$lower}–{$upper}", $texts);
        $this->is('Web thickness', ['size' => ['typed' => '12', 'unit' => 'mm']]);
        $facts = JobFacts::fromArray($this->facts);
        $texts = self::texts(JobAnswers::of($facts)->shopViews($facts)->face($lever)?->draw());
        self::assertContains('Web thickness', $texts);
        self::assertContains('12.000', $texts);
        // What waits for its mate is only noted so far.
        $this->job('lever')->is('Hub bore', ['size' => ['typed' => '20', 'unit' => 'mm']]);
        $facts = JobFacts::fromArray($this->facts);
        self::assertContains('⌀ ≈ 20.000', self::texts(JobAnswers::of($facts)->shopViews($facts)->face($this->facts['parts'][2]['id'])?->draw()));
    }

    /**
     * By hand: a bolt of 20 with a head of 30, 410 long: its shank of 400 is cut short to twice 30, the middle 340 left
     * out, and what is left is to one scale.
     */
    public function test_a_long_shaft_is_broken(): void
    {
        $long = static fn (float $mm): AxisPart => new AxisPart('Bolt', Tone::Make, Profile::of([new Segment(0, 10, 15, 15), new Segment(10, $mm, 10, 10)], []));
        $broken = BrokenAxis::of($long(410));
        self::assertEqualsWithDelta([[40.0, 380.0]], $broken->removed, 1e-9);
        self::assertEqualsWithDelta([0.0, 10.0, 40.0, 40.0, 40.0, 70.0], array_map($broken->at(...), [0.0, 10.0, 40.0, 200.0, 380.0, 410.0]), 1e-9);
        self::assertSame([], BrokenAxis::of($long(180))->removed, 'six times its diameter is drawn whole');
        // Nothing is left out where something is cut into it, or where it tapers.
        $slot = new AxisPart('Bolt', Tone::Make, $long(410)->profile, slots: [['from_mm' => 50.0, 'to_mm' => 400.0, 'top_mm' => 10.0, 'bottom_mm' => 6.0]]);
        self::assertSame([], BrokenAxis::of($slot)->removed);
        $taper = new AxisPart('Pin', Tone::Make, Profile::of([new Segment(0, 10, 15, 15), new Segment(10, 410, 14, 10)], []));
        self::assertSame([], BrokenAxis::of($taper)->removed);
        $whole = ShopDrawing::draw(new ShopView($long(410), [], [new ShopSize(0, 410, 0.0, [Say::plain('410.000')])], []));
        self::assertNotNull($whole);
        self::clear($whole);
        self::assertContains('410.000', self::texts($whole), 'its true length is written');
        // 30 across is drawn 300 high at most: 70 of 110 in all, ten times larger than whole.
        $areas = array_values(array_filter($whole->shapes(), static fn ($s): bool => $s instanceof Area));
        self::assertEqualsWithDelta(70.0 / 15.0, (max(array_column($areas[0]->points, 0)) - min(array_column($areas[0]->points, 0))) / (max(array_column($areas[0]->points, 1)) - min(array_column($areas[0]->points, 1))), 1e-6);
    }

    /**
     * A sleeve fits inside and out: what is tighter is the datum, the other runs true to it within half of its own
     * limits. Roughness as handbooks give it: Ra 1.6 µm (63 µin) for a press, 0.8 (32) for a journal; common practice.
     */
    public function test_run_out_and_roughness_where_something_fits(): void
    {
        $this->job('plain-bush')->read('Housing bore', 'three-point', '32.010')->read('Shaft journal', 'outside-micrometer', '24.990')
            ->read('Housing length', 'calliper', '40.00');
        $facts = JobFacts::fromArray($this->facts);
        $answers = JobAnswers::of($facts);
        $bush = array_column($this->facts['parts'], 'id', 'name')['Bush'];
        $widths = [];
        foreach ($answers->make as $entry) {
            if ($entry->band !== null && in_array($entry->label, ['Bush outside', 'Bush bore, after pressing', 'Bush bore, before pressing', 'Bush bore'], true)) {
                $widths[$entry->surface->id] = min($widths[$entry->surface->id] ?? INF, $entry->band->upperMm - $entry->band->lowerMm);
            }
        }
        self::assertCount(2, $widths);
        asort($widths);
        $true = RunningTrue::of($facts, $bush, $answers->make);
        self::assertSame(array_key_first($widths), $true->datum);
        self::assertEqualsWithDelta([array_key_last($widths) => max(0.00254, max($widths) / 2)], $true->runOutMm, 1e-9);
        // A hole beside the axis runs true to nothing that turns about it.
        $beside = $this->facts;
        foreach ($beside['surfaces'] as $i => $surface) {
            if ($surface['id'] === array_key_last($widths)) {
                $beside['surfaces'][$i]['x'] = ['typed' => '5', 'unit' => 'mm'];
            }
        }
        $eccentric = JobFacts::fromArray($beside);
        self::assertSame([], RunningTrue::of($eccentric, $bush, JobAnswers::of($eccentric)->make)->runOutMm);
        $drawing = ShopDrawing::draw($answers->shopViews($facts)->of($bush));
        self::assertNotNull($drawing);
        $texts = self::texts($drawing);
        self::assertContains('Ra 1.6', $texts);
        self::assertContains('Ra 0.8', $texts);
        self::assertCount(2, array_keys($texts, 'B', true), 'at the datum, and in the frame');
        $inch = array_map(static fn ($t): string => $t instanceof Text ? $t->say->in : '', $drawing->shapes());
        self::assertContains('Ra 63 µin', $inch);
        self::assertContains('Ra 32 µin', $inch);
        // One that fits nothing is asked for nothing.
        $this->job('spacer');
        $facts = JobFacts::fromArray($this->facts);
        foreach (array_keys($this->facts['parts']) as $i) {
            self::assertSame([], RunningTrue::of($facts, $this->facts['parts'][$i]['id'], [])->runOutMm);
        }
    }

    /** By hand: 1.3 wide on a view of 300 high for 40 across is under ten, and is drawn again: 3.9 of it across 130. */
    public function test_a_narrow_groove_is_drawn_again_larger(): void
    {
        $part = new AxisPart('Pin', Tone::Make, Profile::of([new Segment(0, 60, 20, 20), new Segment(30, 31.3, 18, 18, cutsOutside: true)], []));
        $note = new ShopNote(30.65, 18, [Say::plain('groove 1.3 wide')], [30.0, 31.3]);
        $drawing = ShopDrawing::draw(new ShopView($part, [], [], [$note]));
        self::assertNotNull($drawing);
        self::clear($drawing);
        // The view is 7.5 to the millimetre; the detail as its width allows, 33.3, or its height.
        $times = min(130 / 3.9, 110 / (2 + 1.2 * 1.3)) / 7.5;
        self::assertContains('C: groove 1.3 wide', self::texts($drawing));
        self::assertContains('C, '.round($times, 1).' times larger', self::texts($drawing));
        $wide = new ShopNote(30.65, 18, [Say::plain('groove 4 wide')], [30.0, 34.0]);
        $drawing = ShopDrawing::draw(new ShopView($part, [], [], [$wide]));
        self::assertSame(['groove 4 wide'], self::texts($drawing), 'one that can be seen is not drawn twice');
    }

    /** @return list<string> */
    private static function texts(?Drawing $drawing): array
    {
        return array_values(array_map(
            static fn (Text $t): string => $t->say->mm,
            array_filter($drawing?->shapes() ?? [], static fn ($s): bool => $s instanceof Text),
        ));
    }

    /** Shafts of all lengths with steps thick and thin, many call-outs at one place, lengths in any order. */
    public function test_nor_does_it_on_any_other_part(): void
    {
        mt_srand(11);
        $pick = static fn (float $from, float $to): float => $from + ($to - $from) * mt_rand() / mt_getrandmax();
        for ($i = 0; $i < 300; $i++) {
            [$outside, $diameters, $lengths, $notes, $at] = [[], [], [], [], 0.0];
            $steps = mt_rand(1, 6);
            for ($k = 0; $k < $steps; $k++) {
                [$long, $radius] = [$pick(2, $i % 3 === 0 ? 2000 : 120), $pick(1.5, 60)];
                $outside[] = new Segment($at, $at + $long, $radius, $radius);
                $says = Say::plain(number_format(2 * $radius, 3));
                $diameters[] = new ShopSize($at, $at + $long, $radius, mt_rand(0, 1) === 1 ? [$says] : [$says, Say::plain(number_format(2 * $radius - 0.01, 3)), Say::plain('before pressing')]);
                $lengths[] = new ShopSize(mt_rand(0, 2) === 0 ? $at : 0.0, $at + $long, 0.0, [Say::plain(number_format($long, 3))]);
                for ($n = mt_rand(0, 3); $n > 0; $n--) {
                    $notes[] = new ShopNote($at + $long * $pick(0, 1), $radius, [Say::plain('M12 × 1.75, left hand'), Say::plain(str_repeat('deep ', mt_rand(1, 5)))], mt_rand(0, 3) === 0 ? [$at, $at + 0.02 * $long] : null);
                }
                $at += $long;
            }
            $view = new ShopView(new AxisPart('Shaft', Tone::Make, Profile::of($outside, [])), $diameters, $lengths, $notes, mt_rand(0, 1) === 1 ? 0.0 : null);
            $drawing = ShopDrawing::draw($view);
            self::assertNotNull($drawing);
            self::clear($drawing);
            $texts = array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Text && $s->say->mm !== 'A' && ! str_contains($s->say->mm, 'times larger'));
            $wanted = array_sum(array_map(static fn (ShopSize|ShopNote $one): int => count($one->lines), [...$diameters, ...$notes])) + count($lengths);
            self::assertCount($wanted, $texts, 'everything is on it');
        }
    }

    /** To scale, both ways. */
    public function test_a_step_is_where_it_is(): void
    {
        $part = new AxisPart('Pin', Tone::Make, Profile::of([new Segment(0, 20, 10, 10), new Segment(20, 80, 5, 5)], []));
        $drawing = ShopDrawing::draw(new ShopView($part, [], [], []));
        $areas = array_values(array_filter($drawing?->shapes() ?? [], static fn ($s): bool => $s instanceof Area));
        self::assertInstanceOf(Area::class, $areas[0]);
        $xs = array_column($areas[0]->points, 0);
        $ys = array_column($areas[0]->points, 1);
        self::assertEqualsWithDelta(8.0, (max($xs) - min($xs)) / (max($ys) - min($ys)), 1e-6, '80 long, 10 high above the axis');
        self::assertNull(ShopDrawing::draw(new ShopView(new AxisPart('None', Tone::Make, Profile::of([], [])), [], [], [])));
    }

    /** Every surface that is turned and cut, and has a size, is on the drawing of its part. */
    #[DataProvider('jobs')]
    public function test_every_number_of_the_card_is_on_it(JobFacts $facts): void
    {
        $answers = JobAnswers::of($facts);
        $views = new ShopViews($facts, $answers->shapes, $answers->make, $answers->shaped);
        $said = '';
        foreach (array_keys($views->parts()) as $part) {
            foreach (ShopDrawing::draw($views->of($part))?->shapes() ?? [] as $shape) {
                $said .= $shape instanceof Text ? " {$shape->say->mm}" : '';
            }
        }
        foreach ($answers->make as $entry) {
            $part = $facts->partOf($entry->surface);
            $placed = $answers->shapes->shapes[$part->id]->extent($entry->surface);
            if ($entry->band !== null && isset($views->parts()[$part->id]) && $placed !== null && $entry->surface->type->value !== 'flat' && ! $entry->surface->type->isEdge()) {
                $limit = $entry->free ? \Oldpart\Core\Quantity\LengthWriter::size($entry->band->middleMm())->mm : \Oldpart\Core\Quantity\LengthWriter::upper($entry->band)->mm;
                if ($entry->phase->value !== 'after') {
                    self::assertStringContainsString($limit, $said, $entry->label);
                }
            }
        }
        $this->addToAssertionCount(1);
    }

    /**
     * By hand: seats of 20 and 60 from the left end, a shoulder length of 30 ± from 20 to 50: 20 is written once, 50 by the
     * card, 110 once more; what was only sketched is named and not written.
     */
    public function test_every_step_has_its_place_once(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->job('stepped-shaft')
            ->is('Left bearing seat', ['size' => $mm('25'), 'at' => $mm('0'), 'long' => $mm('20')])
            ->is('Middle', ['size' => $mm('32'), 'at' => $mm('20'), 'long' => $mm('30')])
            ->is('Between the shoulders', ['size' => $mm('30'), 'at' => $mm('20'), 'long' => $mm('30')])
            ->is('Right bearing seat', ['size' => $mm('25'), 'at' => $mm('50'), 'long' => $mm('60')]);
        $facts = JobFacts::fromArray($this->facts);
        $views = self::views($facts);
        $view = $views->of(array_search('Shaft', $views->parts(), true) ?: '');
        $spans = array_map(static fn (ShopSize $l): array => [round($l->fromMm, 6), round($l->toMm, 6), $l->free], $view->lengths);
        self::assertContains([0.0, 20.0, true], $spans);
        self::assertContains([20.0, 50.0, false], $spans);
        self::assertContains([0.0, 110.0, true], $spans);
        self::assertNotContains([0.0, 50.0, true], $spans, 'the card leads there');
        self::assertContains('Hub seat', $view->unsaid);
        self::assertNotContains('Middle', $view->unsaid);
    }

    private static function views(JobFacts $facts): ShopViews
    {
        $answers = JobAnswers::of($facts);

        return new ShopViews($facts, $answers->shapes, $answers->make, $answers->shaped);
    }

    private static function clear(Drawing $drawing): void
    {
        foreach (['mm', 'in'] as $unit) {
            $boxes = [];
            foreach ($drawing->shapes() as $shape) {
                if (! $shape instanceof Text) {
                    continue;
                }
                $text = $shape->say->{$unit};
                $wide = TextWidth::of($text, $shape->size, $shape->mono);
                $left = match ($shape->anchor) {
                    Anchor::Start => $shape->x,
                    Anchor::Middle => $shape->x - $wide / 2,
                    Anchor::End => $shape->x - $wide,
                };
                $box = [$left, $shape->y - 0.75 * $shape->size, $left + $wide, $shape->y + 1, $text];
                self::assertGreaterThanOrEqual(0, $box[0], $text);
                self::assertGreaterThanOrEqual(0, $box[1], $text);
                self::assertLessThanOrEqual($drawing->width, $box[2], $text);
                self::assertLessThanOrEqual($drawing->height, $box[3], $text);
                foreach ($boxes as $other) {
                    $apart = $box[2] <= $other[0] || $other[2] <= $box[0] || $box[3] <= $other[1] || $other[3] <= $box[1];
                    self::assertTrue($apart, "“{$text}” stands on “{$other[4]}”");
                }
                $boxes[] = $box;
            }
            foreach ($drawing->shapes() as $shape) {
                foreach ($shape instanceof Line ? $boxes : [] as $box) {
                    // The box of the datum letter is its own frame.
                    if ($shape instanceof Line && $box[4] !== 'A') {
                        self::assertFalse(self::crosses($shape, $box), "a line passes “{$box[4]}”");
                    }
                }
            }
        }
    }

    /** @param  array{float, float, float, float, string}  $box */
    private static function crosses(Line $line, array $box): bool
    {
        // Clipped to the box by Liang and Barsky.
        [$t0, $t1] = [0.0, 1.0];
        [$dx, $dy] = [$line->x2 - $line->x1, $line->y2 - $line->y1];
        foreach ([[-$dx, $line->x1 - $box[0]], [$dx, $box[2] - $line->x1], [-$dy, $line->y1 - $box[1]], [$dy, $box[3] - $line->y1]] as [$p, $q]) {
            if ($p === 0.0) {
                if ($q < 0) {
                    return false;
                }

                continue;
            }
            $r = $q / $p;
            if ($p < 0) {
                $t0 = max($t0, $r);
            } else {
                $t1 = min($t1, $r);
            }
        }

        return $t0 < $t1;
    }
}
