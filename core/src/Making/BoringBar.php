<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shaft\Overhang;

/** Which bar of the shop goes into a bore and reaches through it, and how it springs; mm. */
final readonly class BoringBar
{
    /** A bar and its bit leave room for chips up to so much of the bore. Common practice. */
    private const FILLS = 0.75;

    /** It has to stand out so much further than the bore is deep. Common practice. */
    private const BEYOND_MM = 5.0;

    /** The force of a light last cut on the bar, N. Common practice. */
    private const FORCE_N = 50.0;

    private const STEEL_GPA = 205.0;

    private function __construct(public Machine $bar, private float $thickMm, private float $outMm)
    {
    }

    /**
     * The thickest that goes in and reaches; null where none does.
     *
     * @param  list<Machine>  $bars  of the shop, those of which both figures are known
     */
    public static function of(array $bars, float $boreMm, float $deepMm): ?self
    {
        $best = null;
        foreach ($bars as $bar) {
            [$thick, $reach] = [$bar->figure('thick_mm'), $bar->figure('reach_mm')];
            $goes = $thick !== null && $reach !== null
                && $thick <= self::thickest($boreMm) && $reach >= self::out($deepMm);
            if ($goes && ($best === null || $thick > $best->thickMm)) {
                $best = new self($bar, $thick, self::out($deepMm));
            }
        }

        return $best;
    }

    /** The thickest bar that leaves room in a bore, mm. */
    public static function thickest(float $boreMm): float
    {
        return self::FILLS * $boreMm;
    }

    /** How far one has to stand out for a bore, mm. */
    public static function out(float $deepMm): float
    {
        return $deepMm + self::BEYOND_MM;
    }

    /** How far it gives way under a light cut, mm. */
    public function givesMm(): float
    {
        return $this->overhang()->deflectionMm;
    }

    /** @return list<Note> */
    public function notes(): array
    {
        $overhang = $this->overhang();

        return [
            Note::info('bar', Say::with(
                "{$this->bar->name}, {out} out, ".number_format($overhang->ratio, 1)
                    .' times its thickness: it gives about {g} under a light cut.',
                ['out' => LengthWriter::sizeInWords($this->outMm), 'g' => LengthWriter::difference($this->givesMm())],
            )),
            ...$overhang->notes(),
        ];
    }

    private function overhang(): Overhang
    {
        return new Overhang($this->outMm, $this->thickMm, 0.0, self::STEEL_GPA, self::FORCE_N);
    }
}
