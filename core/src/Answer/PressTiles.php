<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressAdvice;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\LengthWriter;

/** The few numbers of a press fit that decide, with what each is held against. */
final class PressTiles
{
    /** @return array<string, mixed> */
    public static function of(Press $press, ?float $needsTorqueNm): array
    {
        return [
            'tiles' => [
                self::holds($press, $needsTorqueNm),
                self::stress($press),
                self::tile(
                    'To push it home, up to',
                    Figure::forceUpTo($press->pressForceN),
                    'the press must give this at full depth',
                    'plain',
                ),
                self::tile(
                    'The bore closes',
                    Say::with('{a} to {b}', [
                        'a' => LengthWriter::size($press->boreClosingMm->min),
                        'b' => LengthWriter::size($press->boreClosingMm->max),
                    ]),
                    Say::with('the housing grows by up to {g}', [
                        'g' => LengthWriter::difference($press->outerGrowthMm->max),
                    ]),
                    'plain',
                ),
            ],
            'press' => $press,
        ];
    }

    /** @return array<string, mixed> */
    private static function holds(Press $press, ?float $needs): array
    {
        $least = $press->holdTorqueNm->min;
        $value = Figure::torqueAtLeast($least);
        if ($needs === null || $needs <= 0) {
            return self::tile(
                'Holds, at least',
                $value,
                'along it: '.Figure::forceAtLeast($press->holdAxialN->min),
                $least > 0 ? 'plain' : 'bad',
            );
        }
        $factor = $least / $needs;

        return self::tile(
            'Holds, at least',
            $value,
            'needs '.Figure::upTo($needs, 1).', factor '.Figure::atLeast($factor, 1),
            $factor >= PressAdvice::HOLD_FACTOR ? 'good' : 'bad',
        );
    }

    /** @return array<string, mixed> */
    private static function stress(Press $press): array
    {
        $outer = $press->fit->outer;
        $limit = $outer->brittle ? $outer->tensileMpa : $outer->yieldMpa;
        $factor = $press->outerFactor;
        $remark =
            $factor === null || $limit === null
                ? 'no limit known'
                : 'limit '.number_format($limit).', factor '.Figure::atLeast($factor, 1);
        $enough = PressAdvice::enough($outer);

        return self::tile(
            'Housing pull, most',
            Figure::upTo($press->outerHoopMpa->max).' MPa',
            $remark,
            $factor === null || $factor >= $enough ? 'good' : 'bad',
        );
    }

    /** @return array<string, mixed> */
    private static function tile(string $label, Say|string $value, Say|string $remark, string $tone): array
    {
        $say = static fn (Say|string $s): Say => is_string($s) ? Say::plain($s) : $s;

        return ['label' => $label, 'value' => $say($value), 'remark' => $say($remark), 'tone' => $tone];
    }
}
