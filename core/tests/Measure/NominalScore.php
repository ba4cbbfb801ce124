<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\NominalKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Made-up dimensions with known truth: a size somebody would choose, made within an ordinary tolerance, perhaps worn,
 * measured with an ordinary error. What it draws from is written here, not taken from the tables it is to score.
 */
final class NominalScore
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array{first: float, in_three: float, count: int} shares of the dimensions */
    public function of(int $count, bool $worn): array
    {
        $first = $three = 0;
        for ($i = 0; $i < $count; $i++) {
            $kind = [NominalKind::Bore, NominalKind::Shaft, NominalKind::Length][$this->random->getInt(0, 2)];
            $truth = $this->chosen($kind);
            $tolerance = 0.016 * $truth ** (1 / 3);
            $made =
                $truth +
                match ($kind) {
                    NominalKind::Bore => $this->even(0, $tolerance),
                    NominalKind::Shaft => -$this->even(0, $tolerance),
                    default => $this->even(-0.05, 0.05),
                };
            $wear = $worn && $kind !== NominalKind::Length ? abs($this->normal()) * max(0.03, 0.002 * $truth) : 0.0;
            $u = [0.004, 0.01, 0.02][$this->random->getInt(0, 2)];
            $found = $made + $kind->wearSign() * $wear + ($u / 2) * $this->normal();
            $candidates = Nominal::of($kind, max(0.5, $found), $u, $worn)->candidates;
            foreach (array_slice($candidates, 0, 3) as $place => $candidate) {
                if (abs($candidate->nominalMm - $truth) < 1e-6) {
                    $first += (int) ($place === 0);
                    $three++;

                    break;
                }
            }
        }

        return ['first' => $first / $count, 'in_three' => $three / $count, 'count' => $count];
    }

    /** Half the machines in inches, half in millimetres; bearings where a bearing would sit. */
    private function chosen(NominalKind $kind): float
    {
        if ($kind !== NominalKind::Length && $this->random->getInt(1, 10) <= 2) {
            $bearings = array_values(
                array_filter(Bearings::all(), static fn (Bearing $b): bool => $b->boreMm >= 10 && $b->boreMm <= 60),
            );
            $bearing = $bearings[$this->random->getInt(0, count($bearings) - 1)];

            return $kind === NominalKind::Shaft ? $bearing->boreMm : $bearing->outsideMm;
        }
        if ($this->random->getInt(0, 1) === 0) {
            $denominator = [1, 2, 2, 4, 4, 8, 8, 8, 16, 16, 32][$this->random->getInt(0, 10)];

            return (25.4 * max(1, $this->random->getInt((int) ceil(0.35 * $denominator), 4 * $denominator))) /
                $denominator;
        }
        $step = [5.0, 5.0, 2.0, 2.0, 1.0, 1.0, 0.5][$this->random->getInt(0, 6)];

        return $step * max(1, $this->random->getInt((int) ceil(8 / $step), (int) floor(100 / $step)));
    }

    private function even(float $from, float $to): float
    {
        return $from + (($to - $from) * $this->random->getInt(0, 1_000_000)) / 1_000_000;
    }

    private function normal(): float
    {
        return sqrt(-2 * log($this->random->getInt(1, 1_000_000) / 1_000_000)) *
            cos((2 * M_PI * $this->random->getInt(0, 999_999)) / 1_000_000);
    }
}
