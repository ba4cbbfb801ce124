<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Quantity\LengthWriter;

/** The few numbers of a press fit that decide, with what each is held against. */
final class PressTiles
{
    /** @return array<string, mixed> */
    public static function of(Press $press, ?float $needsTorqueNm): array
    {
        return ['tiles' => [
            self::holds($press, $needsTorqueNm),
            self::stress($press),
            self::tile('To push it home, up to', self::force($press->pressForceN), 'the press must give this at full depth', 'plain'),
            self::tile('The bore closes', Say::with('{a} to {b}', ['a' => LengthWriter::size($press->boreClosingMm->min), 'b' => LengthWriter::size($press->boreClosingMm->max)]), Say::with('the housing grows by up to {g}', ['g' => LengthWriter::difference($press->outerGrowthMm->max)]), 'plain'),
        ], 'press' => $press];
    }

    public static function force(float $newton): string
    {
        return $newton >= 1000 ? number_format($newton / 1000, 1).' kN' : number_format($newton, 0).' N';
    }

    /** @return array<string, mixed> */
    private static function holds(Press $press, ?float $needs): array
    {
        $least = $press->holdTorqueNm->min;
        $value = number_format($least, $least < 10 ? 1 : 0).' N·m';
        if ($needs === null || $needs <= 0) {
            return self::tile('Holds, at least', $value, 'along it: '.self::force($press->holdAxialN->min), $least > 0 ? 'plain' : 'bad');
        }
        $factor = $least / $needs;

        return self::tile('Holds, at least', $value, 'needs '.number_format($needs, 1).', factor '.number_format($factor, 1), $factor >= 1.5 ? 'good' : 'bad');
    }

    /** @return array<string, mixed> */
    private static function stress(Press $press): array
    {
        $outer = $press->fit->outer;
        $limit = $outer->brittle ? $outer->tensileMpa : $outer->yieldMpa;
        $factor = $press->outerFactor;
        $remark = $factor === null || $limit === null ? 'no limit known' : 'limit '.number_format($limit).', factor '.number_format($factor, 1);
        $enough = $outer->brittle ? 2.5 : 1.3;

        return self::tile('Housing pull, most', number_format($press->outerHoopMpa->max, 0).' MPa', $remark, $factor === null || $factor >= $enough ? 'good' : 'bad');
    }

    /** @return array<string, mixed> */
    private static function tile(string $label, Say|string $value, Say|string $remark, string $tone): array
    {
        $say = static fn (Say|string $s): Say => is_string($s) ? Say::plain($s) : $s;

        return ['label' => $label, 'value' => $say($value), 'remark' => $say($remark), 'tone' => $tone];
    }
}
