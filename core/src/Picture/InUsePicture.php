<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\InUse;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Quantity\Unit;

/** The fit against the temperature both parts run at: its loose and its tight end, and where it lets go. */
final class InUsePicture
{
    private const FROM_C = -20.0;

    private const TO_C = 150.0;

    public static function draw(PressFit $fit): Drawing
    {
        $at = static fn (float $interference, float $c): float => InUse::interferenceAt(
            diameterMm: $fit->diameterMm,
            interferenceMm: $interference,
            inner: $fit->inner,
            outer: $fit->outer,
            innerC: $c,
            outerC: $c,
        );
        [$loose, $tight] = [$fit->interferenceMm->min, $fit->interferenceMm->max];
        $corners = [
            $at($loose, self::FROM_C),
            $at($loose, self::TO_C),
            $at($tight, self::FROM_C),
            $at($tight, self::TO_C),
        ];
        $low = min(0.0, ...$corners);
        $high = max(0.001, ...$corners);
        $pad = 0.1 * ($high - $low);
        $y = new Scale($low - $pad, $high + $pad, 176, 20);
        $x = new Scale(self::FROM_C, self::TO_C, 64, 400);
        $drawing = new Drawing(
            430,
            214,
            Say::plain('The fit at its loose and tight end against the temperature in use.'),
        );
        $zero = $y->at(0.0);
        $bottom = 176.0;
        if ($zero < $bottom) {
            $drawing->box(64, $zero, 336, $bottom - $zero, Tone::Good, Fill::None, 0.5);
        }
        $points = [];
        for ($c = self::FROM_C; $c <= self::TO_C; $c += 10) {
            $points[] = [$x->at($c), $y->at($at($tight, $c))];
        }
        for ($c = self::TO_C; $c >= self::FROM_C; $c -= 10) {
            $points[] = [$x->at($c), $y->at($at($loose, $c))];
        }
        $drawing->area($points, Tone::Overlap);
        $drawing->line(64, 20, 64, 176)->line(64, $zero, 400, $zero, Tone::Ink, 1.5);
        foreach ([[Unit::Inch, 0.0254, 'thou'], [Unit::Millimetre, 0.001, 'µm']] as [$unit, $mm, $name]) {
            $step = Scale::step(($high - $low) / $mm, 4);
            for ($i = (int) ceil(($low - $pad) / $mm / $step); $i * $step * $mm <= $high + $pad; $i++) {
                $drawing->text(
                    58,
                    $y->at($i * $step * $mm) + 5,
                    str_replace('-', '−', rtrim(rtrim(number_format($i * $step, 2), '0'), '.')),
                    13,
                    Anchor::End,
                    Tone::Soft,
                    mono: true,
                    only: $unit,
                );
            }
            $drawing->text(6, 14, "{$name} tight", 13, Anchor::Start, Tone::Soft, only: $unit);
        }
        foreach ([-20, 20, 60, 100, 140] as $c) {
            $drawing->text(
                $x->at((float) $c),
                194,
                str_replace('-', '−', (string) $c),
                13,
                Anchor::Middle,
                Tone::Soft,
                mono: true,
            );
        }

        return $drawing
            ->text(400, 210, '°C, both parts', 13, Anchor::End, Tone::Soft)
            ->text(396, max(32.0, $zero - 5), 'lets go below this line', 12, Anchor::End);
    }
}
