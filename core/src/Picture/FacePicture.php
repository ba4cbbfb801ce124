<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** A plate, or a turned part from its end: outline, bosses, holes and hole circles, with their sizes beside it. */
final readonly class FacePicture
{
    private const WIDTH = 700.0;

    private const COLUMN = 452.0;

    /** Of a size written under it. */
    private const ROW = 30.0;

    /**
     * @param  list<array{float, float}>  $outline  mm, y upward; empty: the circles alone make it
     * @param  list<FaceCircle>  $circles  larger ones first
     * @param  list<FacePattern>  $patterns
     * @param  list<array{radius_mm: float, width_mm: float, depth_mm: float, hub: bool}>  $keyways  at the top
     * @param  list<FaceSize>  $rest  sizes that have no place on the face, written under it
     */
    public function __construct(
        public string $name,
        public Tone $tone,
        public array $outline,
        public array $circles,
        public array $patterns,
        public array $keyways = [],
        public array $rest = [],
    ) {
    }

    /** The other hand of it: left to right. */
    public function mirrored(): self
    {
        return new self(
            name: "{$this->name}, other hand",
            tone: $this->tone,
            outline: array_map(static fn (array $p): array => [-$p[0], $p[1]], $this->outline),
            circles: array_map(static fn (FaceCircle $c): FaceCircle => $c->mirrored(), $this->circles),
            patterns: array_map(static fn (FacePattern $p): FacePattern => $p->mirrored(), $this->patterns),
            keyways: $this->keyways,
            rest: $this->rest,
        );
    }

    /**
     * The same with what is written at a drawing one cuts from.
     *
     * @param  array<string, FaceSize>  $sizes  by the name of a circle: its limits
     * @param  list<FaceSize>  $rest
     */
    public function written(array $sizes, array $rest): self
    {
        return new self(
            name: $this->name,
            tone: $this->tone,
            outline: $this->outline,
            circles: array_map(
                static fn (FaceCircle $c): FaceCircle => isset($sizes[$c->name]) ? $c->says($sizes[$c->name]) : $c,
                $this->circles,
            ),
            patterns: $this->patterns,
            keyways: $this->keyways,
            rest: $rest,
        );
    }

    public function isEmpty(): bool
    {
        return $this->outline === [] && $this->circles === [] && $this->patterns === [];
    }

    public function draw(): ?Drawing
    {
        if ($this->isEmpty()) {
            return null;
        }
        $labels =
            count(array_filter($this->circles, static fn (FaceCircle $c): bool => $c->labelled)) +
            count($this->patterns);
        $height = max(300.0, LabelColumn::height($labels));
        $rows = (int) ceil(count($this->rest) / 2);
        $drawing = new Drawing(
            self::WIDTH,
            $height + $rows * self::ROW,
            Say::plain("{$this->name}, seen from its face."),
        );
        foreach ($this->rest as $i => $size) {
            $x = 16.0 + ($i % 2) * self::WIDTH / 2;
            $size->draw($drawing, $x, $height + (intdiv($i, 2) + 0.7) * self::ROW, self::WIDTH / 2 - 24);
        }
        $place = $this->shapes(
            $drawing,
            16,
            14,
            390,
            min($height - 28, 330),
            ($height - min($height - 28, 330)) / 2 - 14,
            1.5,
        );
        LabelColumn::draw($drawing, $this->labels($place), self::COLUMN, self::WIDTH - 6, $height);

        return $drawing;
    }

    public function thumb(): ?Drawing
    {
        if ($this->isEmpty()) {
            return null;
        }
        $drawing = new Drawing(120, 84, Say::plain('Seen from its face'));
        $this->shapes($drawing, 6, 4, 108, 76, 0, 1.1);

        return $drawing;
    }

    /** @return callable(float, float): array{float, float} from mm to the drawing */
    private function shapes(
        Drawing $drawing,
        float $left,
        float $top,
        float $width,
        float $height,
        float $down,
        float $line,
    ): callable {
        [$x1, $y1, $x2, $y2] = $this->bounds();
        $perMm = min($width / max(1e-6, $x2 - $x1), $height / max(1e-6, $y2 - $y1));
        $cx = $left + $width / 2;
        $cy = $top + $down + $height / 2;
        $place = static fn (float $x, float $y): array => [
            $cx + ($x - ($x1 + $x2) / 2) * $perMm,
            $cy - ($y - ($y1 + $y2) / 2) * $perMm,
        ];
        if ($this->outline !== []) {
            $drawing->area(
                array_map(static fn (array $p): array => $place($p[0], $p[1]), $this->outline),
                $this->tone,
                Fill::Tint,
                $line,
            );
        }
        foreach ($this->circles as $circle) {
            [$x, $y] = $place($circle->xMm, $circle->yMm);
            $drawing->area(
                Drawing::circle($x, $y, $circle->radiusMm * $perMm),
                $this->tone,
                $circle->hole ? Fill::Blank : Fill::Tint,
                $line,
            );
            if ($circle->thread) {
                $drawing->area(
                    Drawing::circle($x, $y, 1.12 * $circle->radiusMm * $perMm),
                    $this->tone,
                    Fill::None,
                    0.5 * $line,
                );
            }
        }
        foreach ($this->keyways as $key) {
            $this->keyway($drawing, $key, $place, $line);
        }
        foreach ($this->patterns as $pattern) {
            [$x, $y] = $place(0, 0);
            $drawing->area(
                Drawing::circle($x, $y, ($pattern->circleMm / 2) * $perMm),
                Tone::Soft,
                Fill::None,
                0.6 * $line,
            );
            foreach ($pattern->centres() as [$hx, $hy]) {
                [$px, $py] = $place($hx, $hy);
                $drawing->area(
                    Drawing::circle($px, $py, max(0.8, ($pattern->holeMm / 2) * $perMm), 36),
                    $this->tone,
                    Fill::Blank,
                    $line,
                );
            }
        }
        [$x, $y] = $place(0, 0);
        [$x, $y] = [max($left, min($left + $width, $x)), max($top + $down, min($top + $down + $height, $y))];
        $reach = 0.5 * min($width, $height);
        $drawing->line(max($left - 4, $x - $reach), $y, min($left + $width + 4, $x + $reach), $y, Tone::Ink, 0.6, true);
        $drawing->line(
            $x,
            max($top + $down - 4, $y - $reach),
            $x,
            min($top + $down + $height + 4, $y + $reach),
            Tone::Ink,
            0.6,
            true,
        );

        return $place;
    }

    /**
     * @param  array{radius_mm: float, width_mm: float, depth_mm: float, hub: bool}  $key
     * @param  callable(float, float): array{float, float}  $place
     */
    private function keyway(Drawing $drawing, array $key, callable $place, float $line): void
    {
        $half = $key['width_mm'] / 2;
        $corner = sqrt(max(0.0, $key['radius_mm'] ** 2 - $half ** 2));
        $bottom = $key['radius_mm'] + ($key['hub'] ? $key['depth_mm'] : -$key['depth_mm']);
        $drawing->area(
            [$place(-$half, $corner), $place(-$half, $bottom), $place($half, $bottom), $place($half, $corner)],
            $this->tone,
            Fill::Blank,
            $line,
        );
    }

    /**
     * @param  callable(float, float): array{float, float}  $place
     * @return list<Label>
     */
    private function labels(callable $place): array
    {
        $labels = [];
        foreach ($this->circles as $circle) {
            if ($circle->labelled) {
                [$x, $y] = $place(
                    $circle->xMm + $circle->radiusMm * cos(0.5),
                    $circle->yMm + $circle->radiusMm * sin(0.5),
                );
                $labels[] = new Label(
                    x: $x,
                    y: $y,
                    name: $circle->name,
                    says: $circle->says,
                    tone: $this->tone,
                    free: $circle->free,
                );
            }
        }
        foreach ($this->patterns as $pattern) {
            $centres = $pattern->centres();
            usort($centres, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
            [$x, $y] = $place($centres[0][0], $centres[0][1]);
            $labels[] = new Label($x, $y, $pattern->name, $pattern->says, $this->tone);
        }

        return $labels;
    }

    /** @return array{float, float, float, float} */
    public function bounds(): array
    {
        $xs = array_column($this->outline, 0);
        $ys = array_column($this->outline, 1);
        foreach ($this->circles as $circle) {
            array_push($xs, $circle->xMm - $circle->radiusMm, $circle->xMm + $circle->radiusMm);
            array_push($ys, $circle->yMm - $circle->radiusMm, $circle->yMm + $circle->radiusMm);
        }
        foreach ($this->patterns as $pattern) {
            $r = ($pattern->circleMm + $pattern->holeMm) / 2;
            array_push($xs, -$r, $r);
            array_push($ys, -$r, $r);
        }

        return $xs === [] || $ys === [] ? [0.0, 0.0, 1.0, 1.0] : [min($xs), min($ys), max($xs), max($ys)];
    }
}
