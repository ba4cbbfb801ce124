<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Quantity\Unit;

/**
 * A drawing as DXF of release 12, which every program reads: lines, circles, outlines and texts on layers by what they
 * mean, at their true size in the unit that is said in it.
 */
final class Dxf
{
    /** Layers, and the colour number of each. */
    private const LAYERS = ['OUTLINE' => 7, 'BORE' => 5, 'HOLES' => 1, 'CENTRE' => 8, 'SIZES' => 3];

    private const SAYS = 'Oldpart Fit; true size in ';

    /** @var list<string> */
    private array $entities = [];

    public function __construct(private readonly Unit $unit)
    {
    }

    public function line(string $layer, float $x1, float $y1, float $x2, float $y2): self
    {
        return $this->entity('LINE', $layer, [10 => $x1, 20 => $y1, 30 => 0.0, 11 => $x2, 21 => $y2, 31 => 0.0]);
    }

    public function circle(string $layer, float $x, float $y, float $radius): self
    {
        return $this->entity('CIRCLE', $layer, [10 => $x, 20 => $y, 30 => 0.0, 40 => $radius]);
    }

    /** @param  list<array{float, float}>  $points */
    public function outline(string $layer, array $points, bool $closed): self
    {
        $this->entities[] = self::pairs([0 => 'POLYLINE', 8 => $layer, 66 => 1, 70 => $closed ? 1 : 0]);
        foreach ($points as [$x, $y]) {
            $this->entities[] = self::pairs([0 => 'VERTEX', 8 => $layer]).$this->lengths([10 => $x, 20 => $y, 30 => 0.0]);
        }
        $this->entities[] = self::pairs([0 => 'SEQEND', 8 => $layer]);

        return $this;
    }

    /** @param  float  $high  of its letters, mm */
    public function text(string $layer, float $x, float $y, float $high, string $text): self
    {
        $this->entities[] = self::pairs([0 => 'TEXT', 8 => $layer])
            .$this->lengths([10 => $x, 20 => $y, 30 => 0.0, 40 => $high])
            .self::pairs([1 => self::plain($text)]);

        return $this;
    }

    public function written(): string
    {
        $layers = '';
        foreach (self::LAYERS as $name => $colour) {
            $layers .= self::pairs([0 => 'LAYER', 2 => $name, 70 => 0, 62 => $colour, 6 => 'CONTINUOUS']);
        }
        $unit = $this->unit === Unit::Inch ? 'inches' : 'millimetres';

        return self::pairs([999 => self::SAYS.$unit])
            ."  0\nSECTION\n  2\nHEADER\n  9\n\$ACADVER\n  1\nAC1009\n  9\n\$INSUNITS\n 70\n".($this->unit === Unit::Inch ? '1' : '4')."\n  0\nENDSEC\n"
            ."  0\nSECTION\n  2\nTABLES\n  0\nTABLE\n  2\nLTYPE\n 70\n1\n  0\nLTYPE\n  2\nCONTINUOUS\n 70\n0\n  3\nSolid line\n 72\n65\n 73\n0\n 40\n0.0\n  0\nENDTAB\n"
            ."  0\nTABLE\n  2\nLAYER\n 70\n".count(self::LAYERS)."\n{$layers}  0\nENDTAB\n  0\nENDSEC\n"
            ."  0\nSECTION\n  2\nENTITIES\n".implode('', $this->entities)."  0\nENDSEC\n  0\nEOF\n";
    }

    /** @param  array<int, float>  $lengths  mm */
    private function entity(string $type, string $layer, array $lengths): self
    {
        $this->entities[] = self::pairs([0 => $type, 8 => $layer]).$this->lengths($lengths);

        return $this;
    }

    /** @param  array<int, float>  $lengths  mm */
    private function lengths(array $lengths): string
    {
        $text = '';
        foreach ($lengths as $code => $mm) {
            // To a millionth of the unit: well under a micrometre.
            $text .= sprintf("%3d\n%.6F\n", $code, $mm / $this->unit->inMm());
        }

        return $text;
    }

    /** @param  array<int, string|int>  $pairs */
    private static function pairs(array $pairs): string
    {
        $text = '';
        foreach ($pairs as $code => $value) {
            $text .= sprintf("%3d\n%s\n", $code, (string) $value);
        }

        return $text;
    }

    /**
     * Release 12 knows no letters beyond the plain ones: its own marks for the diameter, the degree and plus or
     * minus.
     */
    private static function plain(string $text): string
    {
        $text = strtr($text, ['⌀' => '%%c', '°' => '%%d', '±' => '%%p', '×' => 'x', '–' => '-', '−' => '-', '…' => '..', '’' => "'", '“' => '"', '”' => '"', '·' => '.']);

        return (string) preg_replace('/[^\x20-\x7e]/u', '?', $text);
    }
}
