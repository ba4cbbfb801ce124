<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Range;

/** How rough a surface is, Rz in µm: measured, or by how it was made (data/finishes.json). */
final readonly class Roughness
{
    /** Peaks flatten by so much of Rz on each side. Source: DIN 7190-1. */
    private const FLATTENS = 0.8;

    /** @param  bool  $assumed  nobody said so */
    private function __construct(
        public Range $rzUm,
        public string $says,
        public bool $assumed,
        public bool $counted = true,
    ) {
    }

    /** Left out of account. */
    public static function none(): self
    {
        return new self(new Range(0.0, 0.0), 'not given', true, false);
    }

    /** @throws BadInput below zero or over 1,000 µm */
    public static function measured(float $rzUm, string $field = 'rz_um'): self
    {
        if (! is_finite($rzUm) || $rzUm < 0 || $rzUm > 1000) {
            throw new BadInput('out-of-range', $field, 'A roughness Rz is from 0 to 1,000 µm.');
        }

        return new self(new Range($rzUm, $rzUm), 'Rz '.self::um($rzUm), false);
    }

    /** @throws BadInput for a finish that is not in the table */
    public static function of(string $finish, string $field = 'finish'): self
    {
        /** @var array{code: string, name: string, rz_um: array{float, float}} $row */
        foreach (Table::rows('finishes') as $row) {
            if ($row['code'] === $finish) {
                return new self(
                    new Range($row['rz_um'][0], $row['rz_um'][1]),
                    "{$row['name']}, Rz ".self::um($row['rz_um'][0]).' to '.self::um($row['rz_um'][1]),
                    false,
                );
            }
        }
        throw new BadInput(
            'unknown-finish',
            $field,
            "“{$finish}” is not a finish known here: ".
                implode(', ', array_column(Table::rows('finishes'), 'code')).
                '.',
        );
    }

    /**
     * Where nothing is said: at worst an outside as turned, a bore as bored, and at best smooth, as nobody knows.
     * Common practice.
     */
    public static function assumed(bool $bore): self
    {
        /** @var array{shaft: string, bore: string} $assumed */
        $assumed = Table::read('finishes')['assumed'];
        $worst = self::of($bore ? $assumed['bore'] : $assumed['shaft']);

        return new self(
            new Range(0.0, $worst->rzUm->max),
            'anything up to '.($bore ? $assumed['bore'] : $assumed['shaft']).', Rz '.self::um($worst->rzUm->max),
            true,
        );
    }

    /**
     * What both surfaces lose of an interference when their peaks flatten, mm on diameter: 0.8 (Rz_i + Rz_o). Source:
     * DIN 7190-1.
     */
    public static function loss(self $inner, self $outer): Range
    {
        return new Range(
            (self::FLATTENS * ($inner->rzUm->min + $outer->rzUm->min)) / 1000,
            (self::FLATTENS * ($inner->rzUm->max + $outer->rzUm->max)) / 1000,
        );
    }

    private static function um(float $um): string
    {
        return rtrim(rtrim(number_format($um, 1), '0'), '.').' µm';
    }
}
