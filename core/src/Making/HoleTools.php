<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Drills;
use Oldpart\Core\Fit\StandardSize;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/**
 * The drills and reamers in the drawer as one types them: “6.8, 1/2, #7, letter F”; a reamer with what it really cuts:
 * “10 cuts 10.012”. Where nothing is said every usual size may be there, and that is said.
 */
final readonly class HoleTools
{
    private const MOST = 300;

    /** A reamer cuts up to so much over its stamp where nobody tried it, mm. Common practice. */
    private const REAMS_OVER_MM = 0.01;

    /**
     * @param  ?list<array{string, float}>  $drills  as typed, and mm; null: not said
     * @param  ?list<array{string, float, ?float}>  $reamers  as typed, by its stamp, and what it cuts where that is known
     */
    private function __construct(private ?array $drills, private ?array $reamers)
    {
    }

    public static function unsaid(): self
    {
        return new self(null, null);
    }

    /**
     * @param  Unit  $unit  what a bare number is in
     *
     * @throws BadInput naming the one that can't be read
     */
    public static function read(string $drills, string $reamers, Unit $unit): self
    {
        return new self(
            trim($drills) === '' ? null : array_map(
                static fn (array $tool): array => [$tool[0], $tool[1]],
                self::listed($drills, 'drills', $unit),
            ),
            trim($reamers) === '' ? null : self::listed($reamers, 'reamers', $unit),
        );
    }

    public function reamersAreSaid(): bool
    {
        return $this->reamers !== null;
    }

    /**
     * The largest drill that is no larger, by what is written on it; null where the drawer has none so small.
     *
     * @return array{string, float}|null
     */
    public function drillUpTo(float $mm): ?array
    {
        if ($this->drills === null) {
            return Drills::upTo($mm);
        }
        $best = null;
        foreach ($this->drills as $drill) {
            if ($drill[1] <= $mm + 1e-9 && ($best === null || $drill[1] > $best[1])) {
                $best = $drill;
            }
        }

        return $best;
    }

    /**
     * A reamer whose hole comes out inside, the smallest of them: by what it cuts where that is known, else from its
     * stamp to a hundredth over it.
     *
     * @return array{string, float}|null as it is called, and its stamp in mm
     */
    public function reamerFor(float $lowerMm, float $upperMm): ?array
    {
        if ($this->reamers === null) {
            $usual = StandardSize::reamers($lowerMm, $upperMm - self::REAMS_OVER_MM)[0] ?? null;

            return $usual === null ? null : [$usual->label, $usual->mm];
        }
        $best = null;
        foreach ($this->reamers as [$label, $stamp, $cuts]) {
            $fits = ($cuts ?? $stamp) >= $lowerMm - 1e-9 && ($cuts ?? $stamp + self::REAMS_OVER_MM) <= $upperMm + 1e-9;
            if ($fits && ($best === null || $stamp < $best[1])) {
                $best = [$label, $stamp];
            }
        }

        return $best;
    }

    /**
     * @return list<array{string, float, ?float}>
     *
     * @throws BadInput
     */
    private static function listed(string $text, string $field, Unit $unit): array
    {
        $tools = [];
        foreach (preg_split('/[;\n]+|,(?=\s|$)/', $text) ?: [] as $entry) {
            $entry = trim($entry);
            if ($entry === '') {
                continue;
            }
            $parts = preg_split('/\s+cuts\s+/i', $entry) ?: [$entry];
            try {
                $mm = array_map(
                    static fn (string $p): float => LengthReader::read(trim($p), $unit)->length->mm,
                    $parts,
                );
            } catch (BadInput $bad) {
                throw new BadInput($bad->reason, $field, "“{$entry}”: {$bad->getMessage()}");
            }
            if (count($mm) > 2 || ! ($mm[0] > 0)) {
                throw new BadInput('bad-tool', $field, "“{$entry}” is a size, or a size and what it cuts: 10 cuts 10.012.");
            }
            if (isset($mm[1]) && abs($mm[1] - $mm[0]) > 0.03 * $mm[0]) {
                throw new BadInput('bad-tool', $field, "“{$entry}”: what it cuts is far from its size. Check the unit and the decimal point.");
            }
            $tools[] = [$parts[0], $mm[0], $mm[1] ?? null];
        }
        if (count($tools) > self::MOST) {
            throw new BadInput('too-many', $field, 'There are over '.self::MOST.' of them: leave out what is never used.');
        }

        return $tools;
    }
}
