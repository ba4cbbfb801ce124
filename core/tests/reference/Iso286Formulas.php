<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\reference;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Fit\Iso286;

/**
 * The formulas behind ISO 286 (ISO 286-1:2010, annex, and ISO 286-1:1988, from memory): what the tables were rounded
 * from. D is the geometric mean of the step's ends, mm; results in µm.
 */
final class Iso286Formulas
{
    /** @return list<float> the steps of the table that a letter uses */
    public static function steps(bool $fine): array
    {
        /** @var list<float> $steps */
        $steps = Table::read('iso286')[$fine ? 'fine_steps_mm' : 'steps_mm'];

        return $steps;
    }

    /** The standard takes 0 to 3 mm as 1 to 3 mm. */
    public static function mean(float $over, float $to): float
    {
        return sqrt(max(1.0, $over) * $to);
    }

    public static function tolerance(string $grade, float $d): float
    {
        if ($d <= 500) {
            $i = 0.45 * $d ** (1 / 3) + 0.001 * $d;
            $units = [
                '5' => 7,
                '6' => 10,
                '7' => 16,
                '8' => 25,
                '9' => 40,
                '10' => 64,
                '11' => 100,
                '12' => 160,
                '13' => 250,
                '14' => 400,
                '15' => 640,
                '16' => 1000,
                '17' => 1600,
                '18' => 2500,
            ];
            $fine = ['01' => 0.3 + 0.008 * $d, '0' => 0.5 + 0.012 * $d, '1' => 0.8 + 0.02 * $d];
            if (isset($fine[$grade])) {
                return $fine[$grade];
            }

            // 2, 3 and 4 rise from 1 to 5 in a geometric row.
            return isset($units[$grade])
                ? $units[$grade] * $i
                : $fine['1'] * ((7 * $i) / $fine['1']) ** (((int) $grade - 1) / 4);
        }
        $units = [
            '1' => 2,
            '2' => 2.7,
            '3' => 3.7,
            '4' => 5,
            '5' => 7,
            '6' => 10,
            '7' => 16,
            '8' => 25,
            '9' => 40,
            '10' => 64,
            '11' => 100,
            '12' => 160,
            '13' => 250,
            '14' => 400,
            '15' => 640,
            '16' => 1000,
            '17' => 1600,
            '18' => 2500,
        ];

        return $units[$grade] * (0.004 * $d + 2.1);
    }

    /** The size of the deviation, without its sign; null where the standard has no formula. */
    public static function deviation(string $letter, float $d): ?float
    {
        $it = static fn (string $grade): float => self::tolerance($grade, $d);
        if ($d > 500) {
            return match ($letter) {
                'd' => 16 * $d ** 0.44,
                'e' => 11 * $d ** 0.41,
                'f' => 5.5 * $d ** 0.41,
                'g' => 2.5 * $d ** 0.34,
                'm' => 0.024 * $d + 12.6,
                'n' => 0.04 * $d + 21,
                'p' => 0.072 * $d + 37.8,
                'r' => sqrt((0.072 * $d + 37.8) * ($it('7') + 0.4 * $d)),
                's' => $it('7') + 0.4 * $d,
                't' => $it('7') + 0.63 * $d,
                'u' => $it('7') + $d,
                default => null,
            };
        }
        $geometric = static fn (string $a, string $b): float => sqrt(
            (float) self::deviation($a, $d) * (float) self::deviation($b, $d),
        );

        return match ($letter) {
            'a' => $d <= 120 ? 265 + 1.3 * $d : 3.5 * $d,
            'b' => $d <= 160 ? 140 + 0.85 * $d : 1.8 * $d,
            'c' => $d <= 40 ? 52 * $d ** 0.2 : 95 + 0.8 * $d,
            'cd' => $geometric('c', 'd'),
            'd' => 16 * $d ** 0.44,
            'e' => 11 * $d ** 0.41,
            'ef' => $geometric('e', 'f'),
            'f' => 5.5 * $d ** 0.41,
            'fg' => $geometric('f', 'g'),
            'g' => 2.5 * $d ** 0.34,
            'k' => 0.6 * $d ** (1 / 3),
            'm' => $it('7') - $it('6'),
            'n' => 5 * $d ** 0.34,
            'p' => $it('7') + 2.5,
            'r' => $geometric('p', 's'),
            's' => $d <= 50 ? $it('8') + 2.5 : $it('7') + 0.4 * $d,
            't' => $it('7') + 0.63 * $d,
            'u' => $it('7') + $d,
            'v' => $it('7') + 1.25 * $d,
            'x' => $it('7') + 1.6 * $d,
            'y' => $it('7') + 2 * $d,
            'z' => $it('7') + 2.5 * $d,
            'za' => $it('8') + 3.15 * $d,
            'zb' => $it('9') + 4 * $d,
            'zc' => $it('10') + 5 * $d,
            default => null,
        };
    }

    /** Rounded as the standard's own tables mostly are: to ones, fives, tens as it grows. */
    public static function rounded(float $um): float
    {
        foreach (
            [[1, 0.1], [5, 0.5], [50, 1], [100, 1], [200, 5], [500, 10], [1000, 20], [2000, 50], [INF, 100]] as [$below, $step]
        ) {
            if ($um < $below) {
                return round($um / $step) * $step;
            }
        }

        return $um;
    }

    /**
     * @return list<array{what: string, over: float, to: float, table: float, formula: float}> every cell that has a formula
     */
    public static function cells(): array
    {
        $cells = [];
        $steps = self::steps(false);
        for ($n = 1; $n < count($steps); $n++) {
            foreach (Iso286::GRADES as $grade) {
                if ($steps[$n] > 500 && in_array($grade, ['01', '0'], true)) {
                    continue;
                }
                $cells[] = [
                    'what' => "IT{$grade}",
                    'over' => $steps[$n - 1],
                    'to' => $steps[$n],
                    'table' => Iso286::tolerance($steps[$n], $grade),
                    'formula' => self::tolerance($grade, self::mean($steps[$n - 1], $steps[$n])),
                ];
            }
        }
        $fineSteps = self::steps(true);
        foreach (Iso286::LETTERS as $letter) {
            $fine = isset(Table::read('iso286')['shaft_deviation_fine_um'][$letter]);
            $steps = $fine ? $fineSteps : self::steps(false);
            for ($n = 1; $n < count($steps); $n++) {
                $formula = self::deviation($letter, self::mean($steps[$n - 1], $steps[$n]));
                try {
                    $limits = Iso286::shaft($steps[$n], "{$letter}6");
                } catch (BadInput) {
                    continue;
                }
                if ($formula !== null) {
                    $cells[] = [
                        'what' => $letter,
                        'over' => $steps[$n - 1],
                        'to' => $steps[$n],
                        'table' => round(1000 * ($letter < 'h' ? -$limits->upperMm : $limits->lowerMm), 3),
                        'formula' => $formula,
                    ];
                }
            }
        }

        return $cells;
    }
}
