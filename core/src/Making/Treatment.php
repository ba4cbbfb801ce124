<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Hardness;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * What was done to a surface, or is to be: hardened, ground, plated, built up (data/treatments.json). Common
 * practice.
 */
final readonly class Treatment
{
    private function __construct(
        public string $code,
        public string $name,
        public bool $isHard,
        private string $cut,
        private string $make,
        /** @var ?array{float, float} how deep it goes, mm */
        private ?array $skinMm,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(static function (array $row): self {
            /** @var array{code: string, name: string, hard: bool, skin_mm: ?array{float, float}, cut: string, make: string} $row */
            return new self(
                code: $row['code'],
                name: $row['name'],
                isHard: $row['hard'],
                cut: $row['cut'],
                make: $row['make'],
                skinMm: $row['skin_mm'],
            );
        }, Table::rows('treatments'));
    }

    /** Null where it is not known here. */
    public static function orNull(?string $code): ?self
    {
        foreach ($code === null ? [] : self::all() as $treatment) {
            if ($treatment->code === $code) {
                return $treatment;
            }
        }

        return null;
    }

    /** What it means for whoever cuts a surface that is there. */
    public function cutting(): Note
    {
        [$a, $b] = $this->skinMm ?? [0.0, 0.0];
        $says = Say::with($this->cut, ['a' => LengthWriter::sizeInWords($a), 'b' => LengthWriter::sizeInWords($b)]);

        return $this->isHard ? Note::caution('treated', $says) : Note::info('treated', $says);
    }

    /** What it means for a new one that is to have it. */
    public function making(): Note
    {
        return Note::caution('to-be-treated', $this->make);
    }

    /** Of a hardness that was taken on the surface itself. */
    public static function hardness(Hardness $hardness): ?Note
    {
        $hrc = $hardness->hrc;
        if ($hrc === null || $hrc < Workability::HARD_HRC) {
            return null;
        }

        return Note::caution(
            'hard-surface',
            round($hrc).' HRC where it was taken: a file skates. '.
                'Grind it, or anneal it first and accept what that does.',
        );
    }
}
