<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Unit;

/**
 * A neutral drawing: lines, areas and texts in a frame of its own units, y downward. Drawn by the screens and by the
 * SVG writer alike. Every drawing says in words what it shows.
 */
final class Drawing implements \JsonSerializable
{
    /** @var list<Line|Area|Text> */
    private array $shapes = [];

    /** @var list<Tap> */
    private array $taps = [];

    /** @var list<Spot> */
    private array $spots = [];

    public function __construct(
        public readonly float $width,
        public readonly float $height,
        public readonly Say $says,
    ) {
    }

    public function line(
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        Tone $tone = Tone::Ink,
        float $width = 1.0,
        bool $dashed = false,
        ?Unit $only = null,
    ): self {
        $this->shapes[] = new Line(
            x1: $x1,
            y1: $y1,
            x2: $x2,
            y2: $y2,
            tone: $tone,
            width: $width,
            dashed: $dashed,
            only: $only,
        );

        return $this;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  list<list<array{float, float}>>  $holes
     */
    public function area(
        array $points,
        Tone $tone,
        Fill $fill = Fill::Hatch,
        float $width = 1.5,
        array $holes = [],
    ): self {
        $this->shapes[] = new Area($points, $holes, $tone, $fill, $width);

        return $this;
    }

    public function box(
        float $x,
        float $y,
        float $width,
        float $height,
        Tone $tone,
        Fill $fill = Fill::Hatch,
        float $line = 1.5,
    ): self {
        return $this->area(
            [[$x, $y], [$x + $width, $y], [$x + $width, $y + $height], [$x, $y + $height]],
            $tone,
            $fill,
            $line,
        );
    }

    public function text(
        float $x,
        float $y,
        Say|string $say,
        float $size = 14,
        Anchor $anchor = Anchor::Start,
        Tone $tone = Tone::Ink,
        bool $mono = false,
        bool $bold = false,
        ?Unit $only = null,
    ): self {
        $this->shapes[] = new Text(
            x: $x,
            y: $y,
            say: is_string($say) ? Say::plain($say) : $say,
            size: $size,
            anchor: $anchor,
            tone: $tone,
            mono: $mono,
            bold: $bold,
            only: $only,
        );

        return $this;
    }

    /** A bar with an end mark at both ends, as a whisker or a dimension line. */
    public function whisker(float $x1, float $x2, float $y, Tone $tone, float $end = 6): self
    {
        return $this->line($x1, $y, $x2, $y, $tone, 2)
            ->line($x1, $y - $end, $x1, $y + $end, $tone, 2)
            ->line($x2, $y - $end, $x2, $y + $end, $tone, 2);
    }

    public function tap(string $id, string $name, float $x, float $top, float $bottom): self
    {
        $this->taps[] = new Tap($id, $name, $x, $top, $bottom);

        return $this;
    }

    public function spot(Spot $spot): self
    {
        $this->spots[] = $spot;

        return $this;
    }

    /** @return list<Spot> */
    public function spots(): array
    {
        return $this->spots;
    }

    /** @return list<Line|Area|Text> */
    public function shapes(): array
    {
        return $this->shapes;
    }

    /** @return list<array{float, float}> a circle as a polygon */
    public static function circle(float $x, float $y, float $radius, int $corners = 72): array
    {
        $points = [];
        for ($i = 0; $i < $corners; $i++) {
            $angle = (2 * M_PI * $i) / $corners;
            $points[] = [$x + $radius * cos($angle), $y - $radius * sin($angle)];
        }

        return $points;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'width' => $this->width,
            'height' => $this->height,
            'says' => $this->says,
            'shapes' => $this->shapes,
            'taps' => $this->taps,
            'spots' => $this->spots,
        ];
    }
}
