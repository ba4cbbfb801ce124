<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Unit;

/** Writes a drawing as stand-alone SVG in black, found and made told apart by the direction of the hatching. */
final readonly class SvgWriter
{
    /** How far apart the two strikes of a bold letter lie, in its height. */
    private const STRIKE = 0.035;

    /** @param  bool  $doubled  bold letters are struck twice, for a reader that knows no bold face of this font */
    public function __construct(
        private Unit $unit = Unit::Inch,
        private string $font = 'DejaVu Sans, sans-serif',
        private bool $doubled = false,
    ) {
    }

    public function write(Drawing $drawing): string
    {
        $body = '';
        foreach ($drawing->shapes() as $shape) {
            $body .= match (true) {
                $shape instanceof Line => $this->line($shape),
                $shape instanceof Area => $this->area($shape),
                $shape instanceof Text => $this->text($shape),
            };
        }
        $w = self::n($drawing->width);
        $h = self::n($drawing->height);

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$w}\" height=\"{$h}\" viewBox=\"0 0 {$w} {$h}\">".
            "<title>{$this->words($drawing->says)}</title>{$body}</svg>";
    }

    private function line(Line $line): string
    {
        if ($line->only !== null && $line->only !== $this->unit) {
            return '';
        }
        $dash = $line->dashed ? ' stroke-dasharray="8 3 2 3"' : '';

        return sprintf(
            '<line x1="%s" y1="%s" x2="%s" y2="%s" stroke="%s" stroke-width="%s"%s/>',
            self::n($line->x1),
            self::n($line->y1),
            self::n($line->x2),
            self::n($line->y2),
            self::ink($line->tone),
            self::n($line->width),
            $dash,
        );
    }

    private function area(Area $area): string
    {
        $rings = [$area->points, ...$area->holes];
        $svg = '';
        if ($area->fill === Fill::Blank || $area->fill === Fill::Tint) {
            foreach ($rings as $ring) {
                $svg .= '<polygon points="'.self::points($ring).'" fill="#ffffff"/>';
            }
        }
        if ($area->fill === Fill::Hatch) {
            [$spacing, $degrees] = match ($area->tone) {
                Tone::Make => [6.0, 45.0],
                Tone::Overlap => [3.0, -45.0],
                default => [6.0, -45.0],
            };
            foreach (Hatch::lines($rings, $spacing, $degrees) as [$x1, $y1, $x2, $y2]) {
                $svg .= sprintf(
                    '<line x1="%s" y1="%s" x2="%s" y2="%s" stroke="#444444" stroke-width="0.6"/>',
                    self::n($x1),
                    self::n($y1),
                    self::n($x2),
                    self::n($y2),
                );
            }
        }
        foreach ($area->width > 0 ? $rings : [] as $ring) {
            $svg .= sprintf(
                '<polygon points="%s" fill="none" stroke="#000000" stroke-width="%s"/>',
                self::points($ring),
                self::n($area->tone === Tone::Make ? $area->width + 0.5 : $area->width),
            );
        }

        return $svg;
    }

    private function text(Text $text): string
    {
        if ($text->only !== null && $text->only !== $this->unit) {
            return '';
        }
        $written = fn (float $x): string => sprintf(
            '<text x="%s" y="%s" font-family="%s" font-size="%s" text-anchor="%s"%s fill="#000000"%s>%s</text>',
            self::n($x),
            self::n($text->y),
            $this->font,
            self::n($text->size),
            $text->anchor->value,
            $text->bold && ! $this->doubled ? ' font-weight="bold"' : '',
            $this->halo($text->size),
            $this->words($text->say),
        );

        $again = $text->bold && $this->doubled;

        return $written($text->x).($again ? $written($text->x + self::STRIKE * $text->size) : '');
    }

    /** Where a word crosses a line, the line stops for it; a reader without bold letters paints no halo either. */
    private function halo(float $size): string
    {
        return $this->doubled ? '' : sprintf(
            ' stroke="#ffffff" stroke-width="%s" stroke-linejoin="round" paint-order="stroke"',
            self::n($size / 4),
        );
    }

    private function words(Say $say): string
    {
        return htmlspecialchars($this->unit === Unit::Inch ? $say->in : $say->mm, ENT_XML1 | ENT_QUOTES);
    }

    private static function ink(Tone $tone): string
    {
        return match ($tone) {
            Tone::Rule => '#bbbbbb',
            Tone::Soft => '#666666',
            default => '#000000',
        };
    }

    /** @param  list<array{float, float}>  $ring */
    private static function points(array $ring): string
    {
        return implode(' ', array_map(static fn (array $p): string => self::n($p[0]).','.self::n($p[1]), $ring));
    }

    private static function n(float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }
}
