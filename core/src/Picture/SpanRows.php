<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** Lengths in rows below the picture, the short ones nearest, so that neither bars nor texts meet. */
final class SpanRows
{
    private const PITCH = 42.0;

    private const SIZE = 14.0;

    /** @var list<list<array{float, float}>> what each row already holds */
    private array $taken = [];

    /** @var list<array{Span, int, float}> the span, its row, where its text is centred */
    private array $placed = [];

    /** @param  list<Span>  $spans */
    public function __construct(array $spans, float $left, float $right)
    {
        usort(
            $spans,
            static fn (Span $a, Span $b): int => [$a->to - $a->from, $a->from, $a->name] <=> [
                $b->to - $b->from,
                $b->from,
                $b->name,
            ],
        );
        foreach ($spans as $span) {
            $width = TextWidth::of($this->longest($span), self::SIZE) + 14;
            $centre = max($left + $width / 2, min($right - $width / 2, ($span->from + $span->to) / 2));
            $this->place($span, $centre, [
                min($span->from, $centre - $width / 2),
                max($span->to, $centre + $width / 2),
            ]);
        }
    }

    public function height(): float
    {
        return $this->taken === [] ? 0.0 : count($this->taken) * self::PITCH + 8;
    }

    public function draw(Drawing $drawing, float $top): void
    {
        foreach ($this->placed as [$span, $row]) {
            $y = $top + 16 + $row * self::PITCH;
            $drawing
                ->line($span->from, $span->edge + 2, $span->from, $y + 5, Tone::Rule)
                ->line($span->to, $span->edge + 2, $span->to, $y + 5, Tone::Rule);
        }
        foreach ($this->placed as [$span, $row, $centre]) {
            $y = $top + 16 + $row * self::PITCH;
            $width = TextWidth::of($this->longest($span), self::SIZE);
            // Lines that lead further down stop behind the text.
            $drawing->box($centre - $width / 2, $y + 8, $width, 16, Tone::Rule, Fill::Blank, 0);
            $drawing->whisker($span->from, $span->to, $y, $span->tone, 5);
            $drawing->text($centre, $y + 20, self::words($span), self::SIZE, Anchor::Middle, $span->tone, bold: true);
        }
    }

    /** @param  array{float, float}  $needs */
    private function place(Span $span, float $centre, array $needs): void
    {
        foreach ($this->taken as $row => $spans) {
            if (array_filter($spans, static fn (array $s): bool => $s[0] < $needs[1] && $s[1] > $needs[0]) === []) {
                $this->taken[$row][] = $needs;
                $this->placed[] = [$span, $row, $centre];

                return;
            }
        }
        $this->placed[] = [$span, count($this->taken), $centre];
        $this->taken[] = [$needs];
    }

    private static function words(Span $span): Say
    {
        return Say::with('{n} {s}', ['n' => $span->name, 's' => $span->says ?? '–']);
    }

    private function longest(Span $span): string
    {
        $words = self::words($span);

        return mb_strlen($words->both) > mb_strlen($words->in) ? $words->both : $words->in;
    }
}
