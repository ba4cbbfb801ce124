<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Unit;

/** What one sees on a gauge, to be read oneself: a thimble with its vernier, a calliper’s vernier, a dial. */
final class GaugeFace
{
    private const WIDE = 380.0;

    private const HIGH = 250.0;

    /** Where the line of the sleeve lies, and where the thimble begins. */
    private const LINE = 175.0;

    private const EDGE = 235.0;

    /** One division of the thimble, in the drawing. */
    private const DIVISION = 14.0;

    public static function of(Instrument $tool, float $mm, Unit $unit): Drawing
    {
        return self::hasDial($tool) ? self::dial($mm, $unit) : self::thimble($mm, $unit);
    }

    /** As the table of instruments says; one of the shop's own by whether it has a travel. */
    private static function hasDial(Instrument $tool): bool
    {
        $faces = array_column(Table::rows('instruments'), 'face', 'code');

        return ($faces[$tool->code] ?? null) === 'dial' || $tool->travelMm !== null;
    }

    /**
     * A micrometer: half millimetres on the sleeve, hundredths on the thimble, thousandths by the sleeve’s vernier; or
     * fortieths of an inch, thous and tenths of a thou.
     */
    public static function thimble(float $mm, Unit $unit): Drawing
    {
        $inch = $unit === Unit::Inch;
        // In the finest step: thousandths of a millimetre, or ten-thousandths of an inch.
        $steps = (int) round($inch ? $mm / 0.00254 : $mm * 1000);
        $turn = $inch ? 250 : 500;
        $divisions = $inch ? 25 : 50;
        $onThimble = ($steps % $turn) / 10;
        $sleeveSteps = $steps / $turn;
        $d = new Drawing(self::WIDE, self::HIGH, Say::plain('A micrometer’s sleeve and thimble, to be read.'));
        $d->box(20, self::LINE - 140, self::EDGE - 20, 190, Tone::Soft, Fill::Blank);
        $d->box(self::EDGE, 8, 130, 234, Tone::Soft, Fill::Blank, 2);
        $d->line(20, self::LINE, self::EDGE, self::LINE, Tone::Ink, 2);
        $perTurn = $inch ? 22.0 : 12.0;
        for ($k = (int) floor($sleeveSteps); $k >= 0; $k--) {
            $x = self::EDGE - ($sleeveSteps - $k) * $perTurn;
            if ($x < 26) {
                break;
            }
            $long = $inch ? $k % 4 === 0 : $k % 2 === 0;
            $d->line($x, self::LINE, $x, self::LINE + ($long ? 16 : 9), Tone::Ink, 1.5);
            if ($inch ? $k % 4 === 0 : $k % 10 === 0) {
                $d->text($x, self::LINE + 34, (string) ($inch ? intdiv($k, 4) : intdiv($k, 2)), 15, Anchor::Middle);
            }
        }
        self::rings($d, $onThimble, $divisions);
        for ($j = 0; $j <= 10; $j++) {
            $y = self::LINE - $j * self::DIVISION * 0.9;
            $d->line(self::EDGE - 26, $y, self::EDGE, $y, Tone::Ink, $j === 0 ? 2 : 1);
            if ($j % 2 === 0) {
                $d->text(self::EDGE - 32, $y + 5, (string) ($j % 10), 14, Anchor::End);
            }
        }

        return $d->text(24, 22, $inch ? 'inch' : 'mm', 13);
    }

    private static function rings(Drawing $d, float $onThimble, int $divisions): void
    {
        for ($i = (int) ceil($onThimble - 4); $i <= (int) floor($onThimble + 11); $i++) {
            $y = self::LINE - ($i - $onThimble) * self::DIVISION;
            $number = (($i % $divisions) + $divisions) % $divisions;
            $five = $number % 5 === 0;
            $d->line(self::EDGE, $y, self::EDGE + ($five ? 34 : 20), $y, Tone::Ink, $five ? 2 : 1);
            if ($five) {
                $d->text(self::EDGE + 42, $y + 5, (string) $number, 17);
            }
        }
    }

    /** A calliper’s beam with its vernier: twentieths of a millimetre, or thous by a vernier of 25. */
    public static function vernier(float $mm, Unit $unit): Drawing
    {
        $inch = $unit === Unit::Inch;
        $main = $inch ? 0.635 : 1.0;
        $parts = $inch ? 25 : 20;
        // A vernier's divisions are one part shorter than the beam's, twice over so that they can be told apart.
        $steps = (int) round($mm / ($main / $parts));
        $at = $steps / $parts;
        $pitch = 24.0;
        $short = 2 * $pitch - $pitch / $parts;
        $wide = 40 + $short * $parts + 60;
        $d = new Drawing($wide, 190, Say::plain('A calliper’s beam and its vernier, to be read.'));
        $first = (int) floor($at);
        $zero = 40 + ($at - $first) * $pitch;
        for ($k = 0; $k * $pitch + 40 < $wide - 10; $k++) {
            $n = $first + $k;
            $x = 40 + $k * $pitch;
            $ten = $inch ? $n % 4 === 0 : $n % 10 === 0;
            $d->line($x, 90, $x, $ten ? 55 : ($n % 5 === 0 && ! $inch ? 63 : 70), Tone::Ink, $ten ? 2 : 1);
            if ($ten) {
                $d->text($x, 46, $inch ? self::tenths($n) : (string) intdiv($n, 10), 14, Anchor::Middle);
            }
        }
        $d->line(10, 90, $wide - 10, 90, Tone::Ink, 1.5);
        for ($j = 0; $j <= $parts; $j++) {
            $x = $zero + $j * $short;
            $named = $j % ($inch ? 5 : 2) === 0;
            $d->line($x, 90, $x, $named ? 125 : 112, Tone::Make, $named ? 2 : 1);
            if ($named) {
                $d->text($x, 145, (string) ($inch ? $j : intdiv($j, 2)), 14, Anchor::Middle, Tone::Make);
            }
        }

        return $d->text(14, 20, $inch ? 'beam in tenths of an inch' : 'beam in centimetres', 12)
            ->text(14, 175, $inch ? 'vernier in thous' : 'vernier in tenths and twentieths of a millimetre', 12);
    }

    private static function tenths(int $fortieths): string
    {
        $whole = intdiv($fortieths, 40);
        $tenth = intdiv($fortieths % 40, 4);

        return $tenth === 0 ? "{$whole}″" : (string) $tenth;
    }

    /** A dial: whole turns beside it, the needle on a hundred divisions. */
    public static function dial(float $mm, Unit $unit): Drawing
    {
        $inch = $unit === Unit::Inch;
        $turn = $inch ? 2.54 : 1.0;
        $whole = (int) floor($mm / $turn + 1e-9);
        $rest = $mm / $turn - $whole;
        $d = new Drawing(self::WIDE, self::HIGH, Say::plain('A dial, to be read.'));
        [$cx, $cy, $r] = [255.0, 125.0, 112.0];
        $d->area(Drawing::circle($cx, $cy, $r), Tone::Soft, Fill::Blank, 2);
        for ($i = 0; $i < 100; $i++) {
            $a = 2 * M_PI * $i / 100 - M_PI / 2;
            $ten = $i % 10 === 0;
            $from = $r - ($ten ? 18 : ($i % 5 === 0 ? 13 : 8));
            [$c, $s] = [cos($a), sin($a)];
            $d->line($cx + $from * $c, $cy + $from * $s, $cx + $r * $c, $cy + $r * $s, Tone::Ink, $ten ? 2 : 1);
            if ($ten) {
                $d->text($cx + ($r - 30) * cos($a), $cy + ($r - 30) * sin($a) + 5, (string) $i, 15, Anchor::Middle);
            }
        }
        $a = 2 * M_PI * $rest - M_PI / 2;
        $d->line($cx, $cy, $cx + ($r - 6) * cos($a), $cy + ($r - 6) * sin($a), Tone::Overlap, 3);
        $d->text(8, 100, $inch ? 'tenths of an inch' : 'whole millimetres', 14)
            ->text(8, 140, (string) $whole, 34, mono: true, bold: true)
            ->text(8, 170, $inch ? 'one line: 0.001 in' : 'one line: 0.01 mm', 14);

        return $d;
    }
}
