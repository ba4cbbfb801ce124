<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Thread\Thread;

/** Four threads of a screw or a hole in section, to scale: the flanks, the pitch, and the size before threading. */
final class ThreadPicture
{
    private const WIDTH = 560.0;

    private const HEIGHT = 220.0;

    private const TURNS = 4;

    /** @param  Say  $before  the drill or blank before it is threaded */
    public static function draw(Thread $thread, bool $inside, Say $before): Drawing
    {
        $pitch = 84.0;
        $deep = ($thread->depthMm() / $thread->pitchMm) * $pitch;
        $flat = $pitch / 8;
        $drawing = new Drawing(
            self::WIDTH,
            self::HEIGHT,
            Say::with('{l}: pitch {p}, '.$thread->form->value.'° between its flanks'.($thread->left ? ', left hand' : '').'.', [
                'l' => $thread->label,
                'p' => LengthWriter::sizeInWords($thread->pitchMm),
            ]),
        );
        $left = 40.0;
        $right = $left + self::TURNS * $pitch;
        [$crest, $root] = $inside ? [60.0 + $deep, 60.0] : [60.0, 60.0 + $deep];
        $edge = [];
        for ($i = 0; $i < self::TURNS; $i++) {
            $x = $left + $i * $pitch;
            array_push(
                $edge,
                [$x, $root],
                [$x + $flat, $root],
                [$x + $pitch / 2, $crest],
                [$x + $pitch / 2 + $flat, $crest],
            );
        }
        $edge[] = [$right, $root];
        $body = $inside ? 20.0 : 170.0;
        $drawing->area([[$left, $body], ...$edge, [$right, $body]], Tone::Make);
        $before = Say::with($inside ? 'hole {b}' : 'outside {b}', ['b' => $before]);
        $at = $inside ? $crest : $crest;
        $drawing->line($left - 20, $at, $right + 10, $at, Tone::Make, 2, true)
            ->text($right + 14, $at + 5, $before, 14, Anchor::Start, Tone::Make);
        $y = $inside ? $crest + 26 : $crest - 20;
        $first = $left + $pitch / 2 + $flat / 2;
        $drawing->whisker($first, $first + $pitch, $y, Tone::Ink, 5)
            ->text($first + $pitch + 8, $y + 5, LengthWriter::size($thread->pitchMm), 15, Anchor::Start, mono: true)
            ->text(
                $left,
                208,
                $thread->called().' · '.$thread->form->value.'°',
                16,
                Anchor::Start,
                $thread->left ? Tone::Overlap : Tone::Ink,
                bold: true,
            );

        return $drawing;
    }
}
