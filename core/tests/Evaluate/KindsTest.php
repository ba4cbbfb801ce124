<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\KindThumb;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every kind of job opens, draws, evaluates and comes back from its file. */
final class KindsTest extends TestCase
{
    /** The kinds that must be there. */
    private const WANTED = [
        'plain-bush',
        'flanged-bush',
        'repair-sleeve',
        'spacer',
        'stepped-shaft',
        'stub-adapter',
        'ring-coupling',
        'flanged-axle',
        'taper-hub',
        'threaded-insert',
        'eccentric-carrier',
        'poured-bearing',
        'split-taper-bush',
        'gear-on-shaft',
        'arbor',
        'lever',
        'ball-cage',
        'ported-block',
        'guard',
        'free-form',
    ];

    /** @return iterable<string, array{Kind}> */
    public static function kinds(): iterable
    {
        foreach (Kind::all() as $kind) {
            yield $kind->code => [$kind];
        }
    }

    private static function facts(Kind $kind): JobFacts
    {
        $n = 0;

        return $kind->layOut(
            'job',
            'Rig',
            'Part',
            Unit::Millimetre,
            new ShopFacts('Shop', 20.0, 0.01, 0.5, 1e4),
            static function () use (&$n): string {
                return 'id-'.++$n;
            },
            true,
        );
    }

    public function test_all_that_are_wanted_are_there(): void
    {
        $codes = array_map(static fn (Kind $k): string => $k->code, Kind::all());
        self::assertSame([], array_diff(self::WANTED, $codes));
        self::assertSame($codes, array_unique($codes));
        self::assertSame('plain-bush', $codes[0]);
        self::assertSame('free-form', $codes[count($codes) - 1]);
    }

    #[DataProvider('kinds')]
    public function test_it_opens_and_answers(Kind $kind): void
    {
        $facts = self::facts($kind);
        self::assertNotSame([], $kind->words);
        self::assertNotSame('', $kind->says);
        self::assertNotSame(
            [],
            array_filter($facts->parts, static fn ($p): bool => $p->origin === Origin::Make),
            'something is to be made',
        );
        self::assertNotSame([], $facts->operations);
        $answers = JobAnswers::of($facts);
        self::assertGreaterThan(0.0, $answers->quote->quote->hours->min);
        self::assertJson((string) json_encode($answers, JSON_THROW_ON_ERROR));
        self::assertNotSame('', $answers->next->says->in);
        if ($kind->code !== 'free-form') {
            self::assertNotSame([], $facts->joints);
            self::assertNotNull($answers->pictures->thumb());
            self::assertNotSame(
                [],
                array_filter($answers->surfaces, static fn ($s): bool => $s->mustMeasure()),
                'the next thing to do is measure',
            );
            self::assertNotSame([], $answers->survey->datums->candidates);
        }
    }

    #[DataProvider('kinds')]
    public function test_its_file_comes_back(Kind $kind): void
    {
        $facts = self::facts($kind);
        self::assertEquals($facts, JobFile::read(JobFile::write($facts)));
    }

    /** A size the picture is drawn by is nobody's reading: it is never written as known. */
    #[DataProvider('kinds')]
    public function test_sizes_nobody_took_are_not_shown(Kind $kind): void
    {
        $drawings = self::drawings(JobAnswers::of(self::facts($kind)));
        self::assertSame($kind->code === 'free-form', $drawings === []);
        foreach ($drawings as $drawing) {
            foreach ($drawing->shapes() as $shape) {
                if ($shape instanceof Text) {
                    self::assertDoesNotMatchRegularExpression('/\d\.\d/', $shape->say->both, $shape->say->both);
                }
            }
        }
    }

    /**
     * No two texts of a drawing meet, nothing leaves the frame; widths taken by an outside rule of thumb (0.5 em a
     * sign, 0.6 em fixed pitch).
     */
    #[DataProvider('kinds')]
    public function test_texts_keep_apart(Kind $kind): void
    {
        $array = JobFile::toArray(self::facts($kind));
        foreach ($array['surfaces'] as &$surface) {
            // As if every size had been noted, so that every text is there at its full width.
            foreach (['size', 'size2', 'at', 'long', 'x', 'y', 'pitch'] as $field) {
                $mm = $surface['sketch'][$field];
                $surface[$field] = $mm === null ? null : ['typed' => (string) $mm, 'unit' => 'mm'];
            }
            $surface = [...$surface, 'count' => $surface['sketch']['count'], 'source' => 'drawing'];
        }
        $drawings = self::drawings(JobAnswers::of(JobFacts::fromArray($array)));
        self::assertSame($kind->code === 'free-form', $drawings === []);
        foreach ($drawings as $drawing) {
            foreach (['in', 'mm'] as $unit) {
                $boxes = [];
                foreach ($drawing->shapes() as $shape) {
                    if ($shape instanceof Text) {
                        $width = mb_strlen($shape->say->{$unit}) * $shape->size * ($shape->mono ? 0.6 : 0.5);
                        $left =
                            $shape->x -
                            match ($shape->anchor) {
                                Anchor::Start => 0,
                                Anchor::Middle => $width / 2,
                                Anchor::End => $width,
                            };
                        $boxes[] = [
                            $left,
                            $shape->y - 0.8 * $shape->size,
                            $left + $width,
                            $shape->y + 0.2 * $shape->size,
                            $shape->say->{$unit},
                        ];
                    } elseif ($shape instanceof Line) {
                        self::assertTrue(
                            min($shape->x1, $shape->x2, $shape->y1, $shape->y2) > -1
                                && max($shape->x1, $shape->x2) < $drawing->width + 1
                                && max($shape->y1, $shape->y2) < $drawing->height + 1,
                            "a line leaves {$drawing->says->in}",
                        );
                    }
                }
                foreach ($boxes as $i => $a) {
                    self::assertTrue(
                        $a[0] > -1 && $a[2] < $drawing->width + 1 && $a[1] > -1 && $a[3] < $drawing->height + 1,
                        "“{$a[4]}” leaves {$drawing->says->in}",
                    );
                    foreach (array_slice($boxes, $i + 1) as $b) {
                        self::assertFalse(
                            $a[0] < $b[2] && $b[0] < $a[2] && $a[1] < $b[3] && $b[1] < $a[3],
                            "“{$a[4]}” and “{$b[4]}” meet in {$drawing->says->in}",
                        );
                    }
                }
            }
        }
    }

    /** @return list<Drawing> */
    private static function drawings(JobAnswers $answers): array
    {
        $drawings = [$answers->pictures->assembly()];
        foreach (array_keys($answers->shapes->shapes) as $part) {
            array_push($drawings, ...array_values($answers->pictures->part($part)));
        }

        return array_values(array_filter($drawings));
    }

    /** Who looks for a kind sees it drawn small; only what has no form of its own has none. */
    #[DataProvider('kinds')]
    public function test_a_kind_is_drawn_small(Kind $kind): void
    {
        $thumb = KindThumb::of($kind);
        self::assertSame($kind->code === 'free-form', $thumb === null);
        self::assertGreaterThan(5, count($thumb?->jsonSerialize()['shapes'] ?? range(0, 5)));
    }
}
