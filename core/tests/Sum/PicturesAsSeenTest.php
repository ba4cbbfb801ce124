<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/**
 * The layout of each sum's picture as somebody last looked at it and found it good: a line, a letter that has moved
 * is looked at again before it is taken, by SEEN=1 in the environment. That what is drawn is right, DrawnToScaleTest says.
 */
final class PicturesAsSeenTest extends TestCase
{
    private const FILE = __DIR__.'/../files/pictures-as-seen.txt';

    public function test_nothing_has_moved_unseen(): void
    {
        $drawn = implode("\n", iterator_to_array(self::drawn(), false))."\n";
        if (getenv('SEEN') === '1') {
            file_put_contents(self::FILE, $drawn);
        }
        $seen = explode("\n", (string) file_get_contents(self::FILE));
        $under = '';
        foreach (explode("\n", $drawn) as $i => $line) {
            $under = str_starts_with($line, '# ') ? $line : $under;
            self::assertSame($seen[$i] ?? null, $line, "In {$under} something has moved: look at it, then run with SEEN=1.");
        }
        self::assertCount(count($seen), explode("\n", $drawn));
    }

    /** @return iterable<string> */
    private static function drawn(): iterable
    {
        foreach (Sums::all() as $sum) {
            $asked = ['' => $sum->example()];
            foreach ($sum->example() as $field => $value) {
                $asked["without {$field}"] = array_diff_key($sum->example(), [$field => 0]);
                if (is_bool($value)) {
                    $asked["not {$field}"] = [...$sum->example(), $field => ! $value];
                }
            }
            $before = [];
            foreach ($asked as $how => $in) {
                $lines = self::lines($sum->name(), $in);
                if ($lines !== [] && ! in_array($lines, $before, true)) {
                    yield trim("# {$sum->name()} {$how}");
                    yield from $lines;
                    $before[] = $lines;
                }
            }
        }
    }

    /**
     * @param  array<string, mixed>  $in
     * @return list<string>
     */
    private static function lines(string $sum, array $in): array
    {
        try {
            $picture = Sums::run($sum, $in)['picture'] ?? null;
        } catch (BadInput) {
            return [];
        }

        return $picture instanceof Drawing ? array_map(self::line(...), $picture->shapes()) : [];
    }

    private static function line(Line|Area|Text $shape): string
    {
        return match (true) {
            $shape instanceof Line => self::at('line', [[$shape->x1, $shape->y1], [$shape->x2, $shape->y2]])." {$shape->tone->value} {$shape->width}".($shape->dashed ? ' dashed' : ''),
            $shape instanceof Text => self::at('text', [[$shape->x, $shape->y]])." {$shape->tone->value} {$shape->anchor->value} {$shape->size}".($shape->bold ? ' bold' : '')." “{$shape->say->mm}”",
            default => self::at('area of '.count($shape->points), self::corners($shape))." {$shape->tone->value} {$shape->fill->value} {$shape->width}",
        };
    }

    /** @return list<array{float, float}> all of a few corners; of a round thing its frame and where it begins */
    private static function corners(Area $area): array
    {
        [$xs, $ys] = [array_column($area->points, 0), array_column($area->points, 1)];

        return count($area->points) <= 12 ? $area->points : [[min($xs), min($ys)], [max($xs), max($ys)], $area->points[0], $area->points[intdiv(count($xs), 3)]];
    }

    /** @param  list<array{float, float}>  $points */
    private static function at(string $what, array $points): string
    {
        return $what.implode('', array_map(static fn (array $p): string => sprintf(' %.1f,%.1f', round($p[0], 1) + 0.0, round($p[1], 1) + 0.0), $points));
    }
}
