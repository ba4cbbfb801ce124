<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Exchange\Template;
use Oldpart\Core\Picture\FaceCircle;
use Oldpart\Core\Picture\FacePattern;
use Oldpart\Core\Picture\FacePicture;
use Oldpart\Core\Picture\Tone;
use PHPUnit\Framework\TestCase;

/** A template is one to one, upright, with a margin of 10 round it: by hand. */
final class TemplateTest extends TestCase
{
    public function test_everything_lies_where_it_lies_on_the_plate(): void
    {
        $face = new FacePicture(
            name: 'Plate',
            tone: Tone::Make,
            outline: [[-5.0, -5.0], [45.0, -5.0], [45.0, 15.0], [-5.0, 15.0]],
            circles: [new FaceCircle('pin', 5.0, 5.0, 2.0, true)],
            patterns: [new FacePattern('ring', 6.0, 2.0, 2)],
        );
        $template = Template::svg($face);
        // 50 wide, but the longest line to check it by is 4 in.
        self::assertEqualsWithDelta([101.6 + 20, 20 + 20 + 26], [$template['width'], $template['height']], 1e-9);
        $svg = new \SimpleXMLElement($template['svg']);
        // y runs down on paper: what is at the bottom of the plate is at the bottom of the sheet.
        self::assertSame('10,30 60,30 60,10 10,10', self::plainly((string) $svg->polygon['points']));
        $circles = [];
        foreach ($svg->circle as $circle) {
            $circles[] = array_map('floatval', [(string) $circle['cx'], (string) $circle['cy'], (string) $circle['r']]);
        }
        self::assertContains([20.0, 20.0, 2.0], $circles);
        self::assertContains([15.0, 22.0, 1.0], $circles, 'the upper hole of the ring');
        self::assertContains([15.0, 28.0, 1.0], $circles, 'the lower one');
        // Each with a cross in its middle: half its radius long to either side, 1 at least and 3 at most.
        $lines = [];
        foreach ($svg->line as $line) {
            $lines[] = array_map('floatval', [(string) $line['x1'], (string) $line['y1'], (string) $line['x2'], (string) $line['y2']]);
        }
        self::assertContains([19.0, 20.0, 21.0, 20.0], $lines);
        self::assertContains([20.0, 19.0, 20.0, 21.0], $lines);
        self::assertContains([14.0, 22.0, 16.0, 22.0], $lines);
        $wide = new \SimpleXMLElement(Template::svg(new FacePicture(
            name: 'Plate',
            tone: Tone::Make,
            outline: [[-5.0, -5.0], [45.0, -5.0], [45.0, 35.0], [-5.0, 35.0]],
            circles: [new FaceCircle('four', 5.0, 5.0, 4.0, true), new FaceCircle('ten', 25.0, 20.0, 10.0, true)],
            patterns: [],
        ))['svg']);
        $long = [];
        foreach ($wide->line as $line) {
            $long[] = round((float) $line['x2'] - (float) $line['x1'], 3);
        }
        self::assertContains(4.0, $long);
        self::assertContains(6.0, $long);
        self::assertNotContains(10.0, $long);
    }

    private static function plainly(string $points): string
    {
        return (string) preg_replace('/\.0+(?=[, ]|$)/', '', $points);
    }
}
