<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\ThickRing;
use Oldpart\Core\Quantity\LengthWriter;

/** The pull round the outer part over its wall, at the tight end, with the limit it stands. */
final class StressPicture
{
    public static function draw(Press $press): Drawing
    {
        $fit = $press->fit;
        $p = $press->pressureMpa->max;
        [$d, $do] = [$fit->diameterMm, $fit->outerOdMm];
        // Lamé: σ(r) = A + B/r², by the pressure at the joint.
        $a = ($p * $d ** 2) / ($do ** 2 - $d ** 2);
        $hoop = static fn (float $at): float => $a * (1 + ($do / $at) ** 2);
        $limit = $fit->outer->brittle ? $fit->outer->tensileMpa : $fit->outer->yieldMpa;
        $most = $p * ThickRing::outerRatio($fit);
        $top = max($most, min($limit ?? 0.0, 2.5 * max($most, 1.0)), 1.0) * 1.15;
        $y = new Scale(0.0, $top, 176, 20);
        $x = new Scale($d / 2, $do / 2, 64, 390);
        $drawing = new Drawing(
            430,
            214,
            Say::plain(
                'The pull in the outer part is greatest at the joint, '.
                    number_format($most).
                    ' MPa, and falls toward its outside.',
            ),
        );
        $points = [[64.0, 176.0]];
        for ($i = 0; $i <= 24; $i++) {
            $at = $d + (($do - $d) * $i) / 24;
            $points[] = [$x->at($at / 2), $y->at($hoop($at))];
        }
        $points[] = [390.0, 176.0];
        $drawing
            ->area($points, $limit !== null && $most > $limit ? Tone::Overlap : Tone::Found)
            ->line(64, 20, 64, 176)
            ->line(64, 176, 390, 176);
        if ($limit !== null && $limit <= $top) {
            $drawing
                ->line(64, $y->at($limit), 390, $y->at($limit), Tone::Overlap, 2, true)
                ->text(
                    386,
                    $y->at($limit) - 5,
                    'stands '.number_format($limit),
                    13,
                    Anchor::End,
                    Tone::Overlap,
                    bold: true,
                );
        } elseif ($limit !== null) {
            $drawing->text(
                386,
                34,
                'stands '.number_format($limit).', far above',
                13,
                Anchor::End,
                Tone::Overlap,
                bold: true,
            );
        }
        $step = Scale::step($top, 4);
        for ($mpa = 0.0; $mpa <= $top; $mpa += $step) {
            $drawing->text(
                58,
                $y->at($mpa) + 5,
                rtrim(rtrim(number_format($mpa, 1), '0'), '.'),
                13,
                Anchor::End,
                Tone::Soft,
                mono: true,
            );
        }

        return $drawing
            ->text(6, 14, 'MPa pull', 13, Anchor::Start, Tone::Soft)
            ->text(64, 196, 'at the joint', 13)
            ->text(390, 196, 'outside', 13, Anchor::End)
            ->text(
                390,
                211,
                Say::with('wall {w}', ['w' => LengthWriter::difference($fit->outerWallMm())]),
                13,
                Anchor::End,
                Tone::Soft,
            );
    }
}
