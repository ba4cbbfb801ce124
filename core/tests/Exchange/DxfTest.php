<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\Dxf;
use Oldpart\Core\Exchange\PartDxf;
use Oldpart\Core\Exchange\Template;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Evaluate\EachKind;
use Oldpart\Core\Tests\Evaluate\KindJob;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Drawings as open files, read back by a reader that is not ours (ezdxf). */
final class DxfTest extends TestCase
{
    use KindJob;

    private const READER = <<<'PY'
        import sys, json, ezdxf
        for file in sys.stdin:
            out = []
            for e in ezdxf.readfile(file.strip()).modelspace():
                t, d = e.dxftype(), {'type': e.dxftype(), 'layer': e.dxf.layer}
                if t == 'LINE':
                    d['at'] = [e.dxf.start.x, e.dxf.start.y, e.dxf.end.x, e.dxf.end.y]
                elif t == 'CIRCLE':
                    d['at'] = [e.dxf.center.x, e.dxf.center.y, e.dxf.radius]
                elif t == 'POLYLINE':
                    d['at'] = [[v.dxf.location.x, v.dxf.location.y] for v in e.vertices]
                    d['closed'] = e.is_closed
                elif t == 'TEXT':
                    d['text'], d['at'] = e.dxf.text, [e.dxf.insert.x, e.dxf.insert.y, e.dxf.height]
                out.append(d)
            print(json.dumps(out), flush=True)
        PY;

    /** @var resource|null */
    private static $reader;

    /** @var array<int, resource> to it, and from it */
    private static array $pipes = [];

    public static function tearDownAfterClass(): void
    {
        if (self::$reader !== null) {
            array_map(fclose(...), self::$pipes);
            proc_close(self::$reader);
        }
        [self::$reader, self::$pipes] = [null, []];
    }

    /** @return list<array<string, mixed>> as another program reads it */
    private static function readBack(string $dxf): array
    {
        // The system's own Python, where the reader is installed; begun once for all drawings.
        $python = is_file('/usr/bin/python3') ? '/usr/bin/python3' : 'python3';
        self::$reader ??= proc_open([$python, '-c', self::READER], [['pipe', 'r'], ['pipe', 'w']], self::$pipes) ?: null;
        self::assertNotNull(self::$reader);
        $file = (string) tempnam(sys_get_temp_dir(), 'dxf');
        file_put_contents($file, $dxf);
        fwrite(self::$pipes[0], "{$file}\n");
        $said = fgets(self::$pipes[1]);
        unlink($file);
        self::assertIsString($said, 'the reader could not read it: what it says stands above');

        return json_decode($said, true, 64, JSON_THROW_ON_ERROR);
    }

    public function test_every_entity_comes_back_to_a_micrometre(): void
    {
        foreach ([[Unit::Millimetre, 1.0], [Unit::Inch, 25.4]] as [$unit, $per]) {
            $read = self::readBack((new Dxf($unit))->line('CENTRE', 1.2345678, -2, 30, 4.5)->circle('HOLES', 47 * cos(deg2rad(72)), 47 * sin(deg2rad(72)), 4.5)
                ->outline('OUTLINE', [[0, 0], [10.0005, 0], [10, 20]], true)->text('SIZES', 0, -5, 3, '⌀20.0 ±0.01 × 45°')->written());
            self::assertSame(['LINE', 'CIRCLE', 'POLYLINE', 'TEXT'], array_column($read, 'type'));
            self::assertSame(['CENTRE', 'HOLES', 'OUTLINE', 'SIZES'], array_column($read, 'layer'));
            self::assertEqualsWithDelta([1.2345678 / $per, -2 / $per, 30 / $per, 4.5 / $per], $read[0]['at'], 1e-6);
            self::assertEqualsWithDelta([14.523799 / $per, 44.699656 / $per, 4.5 / $per], $read[1]['at'], 1e-6);
            self::assertEqualsWithDelta([[0, 0], [10.0005 / $per, 0], [10 / $per, 20 / $per]], $read[2]['at'], 1e-6);
            self::assertTrue($read[2]['closed']);
            self::assertSame('%%c20.0 %%p0.01 x 45%%d', $read[3]['text']);
        }
    }

    /** @return iterable<string, array{JobFacts}> */
    public static function jobs(): iterable
    {
        foreach (EachKind::jobs() as $kind => $facts) {
            yield $kind => [$facts];
        }
    }

    #[DataProvider('jobs')]
    public function test_a_part_of_each_kind_is_read_by_another_program(JobFacts $facts): void
    {
        $answers = JobAnswers::of($facts, false);
        $views = $answers->shopViews($facts);
        foreach ([...array_keys($views->parts()), ...array_keys($views->plates())] as $part) {
            $view = isset($views->parts()[$part]) ? $views->of($part) : null;
            $read = self::readBack(PartDxf::of($answers->shapes->shapes[$part], $view, $answers->shapes->shapes[$part]->face(), $facts->unit));
            foreach ($read as $entity) {
                self::assertContains($entity['layer'], ['OUTLINE', 'BORE', 'HOLES', 'CENTRE', 'SIZES']);
            }
            self::standClear(array_column(array_filter($read, static fn (array $e): bool => $e['type'] === 'TEXT'), 'at'));
        }
        $this->addToAssertionCount(1);
    }

    /**
     * No line of sizes runs into the next.
     *
     * @param  list<array{float, float, float}>  $texts  where each begins, and how high its letters are
     */
    private static function standClear(array $texts): void
    {
        for ($i = 1; $i < count($texts); $i++) {
            self::assertGreaterThan(1.2 * $texts[$i][2], $texts[$i - 1][1] - $texts[$i][1]);
        }
    }

    /** Five holes of 9 on 94, the first at 90°: its middle 47 above the part's. */
    public function test_holes_lie_where_they_are_drilled(): void
    {
        $this->job('flanged-axle')->is('Flange hole circle', ['count' => 5, 'size' => ['typed' => '94', 'unit' => 'mm'], 'size2' => ['typed' => '9', 'unit' => 'mm'], 'angle_deg' => 90]);
        $facts = JobFacts::fromArray($this->facts);
        $answers = JobAnswers::of($facts, false);
        $axle = array_column($this->facts['parts'], 'id', 'name')['Axle'];
        $holes = array_values(array_filter(self::readBack(PartDxf::of($answers->shapes->shapes[$axle], null, $answers->shapes->shapes[$axle]->face(), Unit::Millimetre)), static fn (array $e): bool => $e['layer'] === 'HOLES'));
        self::assertCount(5, $holes);
        $x0 = $holes[0]['at'][0];
        self::assertEqualsWithDelta([47.0, 4.5], [$holes[0]['at'][1], $holes[0]['at'][2]], 1e-6);
        self::assertEqualsWithDelta([47 * cos(deg2rad(162)), 47 * sin(deg2rad(162))], [$holes[1]['at'][0] - $x0, $holes[1]['at'][1]], 1e-6);
    }

    /** One to one: a millimetre of the file is a millimetre of the part, and a check length says so. */
    public function test_a_template(): void
    {
        $this->job('flanged-axle')->is('Flange hole circle', ['count' => 5, 'size' => ['typed' => '94', 'unit' => 'mm'], 'size2' => ['typed' => '9', 'unit' => 'mm'], 'angle_deg' => 90]);
        $answers = JobAnswers::of(JobFacts::fromArray($this->facts), false);
        $face = $answers->shapes->shapes[array_column($this->facts['parts'], 'id', 'name')['Axle']]->face();
        self::assertNotNull($face);
        $template = Template::svg($face);
        $svg = new \SimpleXMLElement($template['svg']);
        self::assertSame([$template['width'], $template['height']], [(float) $svg['width'], (float) $svg['height']]);
        [, , $w, $h] = array_map(floatval(...), explode(' ', (string) $svg['viewBox']));
        self::assertSame([$template['width'], $template['height']], [$w, $h], 'a unit is a millimetre');
        $radii = [];
        foreach ($svg->circle as $circle) {
            $radii[] = (float) $circle['r'];
        }
        self::assertCount(5, array_filter($radii, static fn (float $r): bool => abs($r - 4.5) < 1e-9));
        $long = [];
        foreach ($svg->line as $line) {
            $long[] = round((float) $line['x2'] - (float) $line['x1'], 4);
        }
        self::assertContains(100.0, $long);
        self::assertContains(101.6, $long);
    }
}
