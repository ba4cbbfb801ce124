<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** What a joint is for, in plain words (data/purposes.json), and the fits that give it. */
final readonly class Purpose implements \JsonSerializable
{
    /** The fits of the purposes use letters that are given so far. */
    public const ISO_TO_MM = 500;

    /**
     * @param  array{says: string, least: array{base_in: float, per_in: float}, most: array{base_in: float, per_in: float}}|null  $thumb  null for a shape
     */
    private function __construct(
        public string $code,
        public string $name,
        public string $says,
        public bool $tight,
        /** One turns or slides in the other. */
        public bool $runs,
        public bool $isLength,
        public ?ShapeJoint $shape,
        /** Of a rolling bearing. */
        public ?Seat $seat,
        /** It stays put and there is a choice of ways to hold it. */
        public bool $stays,
        /** A key, pins, screws or bolts may hold it beside the fit. */
        public bool $fastens,
        /** A compound holds it. */
        public bool $bonds,
        /** What is wanted is the fit the old pair had. */
        public bool $copiesOld,
        /** @var array{least_mm: float, least_per_m: float, most_mm: float, most_per_m: float}|null */
        private ?array $works,
        private ?string $iso,
        private ?string $inch,
        /** @var list<string> other inch classes that serve it as well */
        private array $inchAlso,
        private ?array $thumb,
        /**
         * @var array{iso: array{least_mm: float, most_mm: float}, inch: array{least_in: float, most_in: float}}|null limits that are no class of either school
         */
        private ?array $given,
        /** @var list<string> what speaks against it */
        public array $against,
        /** @var array{um: float, uin: int}|null the roughness Ra it wants on both sides; null: none in particular. Common practice. */
        public ?array $ra = null,
    ) {
    }

    /** Null where there is no such purpose. */
    public static function orNull(string $code): ?self
    {
        return array_values(array_filter(self::all(), static fn (self $p): bool => $p->code === $code))[0] ?? null;
    }

    /** @throws BadInput when there is no such purpose */
    public static function named(string $code, string $field = 'purpose'): self
    {
        foreach (self::all() as $purpose) {
            if ($purpose->code === $code) {
                return $purpose;
            }
        }
        throw new BadInput(
            'unknown-purpose',
            $field,
            "“{$code}” is not a purpose known here. Choose one from the list.",
        );
    }

    /** @return list<Purpose> */
    public static function all(): array
    {
        return Table::once(self::class, self::read(...));
    }

    /** @return list<Purpose> */
    private static function read(): array
    {
        /**
         * @var list<array{code: string, name: string, says: string, tight: bool, runs?: bool, length?: bool, shape?: string, seat?: string, stays?: bool, bonds?: bool, fastens?: bool, copies_old?: bool, works?: array{least_mm: float, least_per_m: float, most_mm: float, most_per_m: float}, iso: ?string, inch: ?string, inch_also?: list<string>, ra?: array{um: float, uin: int}, thumb: array{says: string, least: array{base_in: float, per_in: float}, most: array{base_in: float, per_in: float}}|null, against?: list<string>, given?: array{iso: array{least_mm: float, most_mm: float}, inch: array{least_in: float, most_in: float}}}> $rows
         */
        $rows = Table::rows('purposes');

        return array_map(
            static fn (array $r): self => new self(
                code: $r['code'],
                name: $r['name'],
                says: $r['says'],
                tight: $r['tight'],
                runs: $r['runs'] ?? false,
                isLength: $r['length'] ?? false,
                shape: ShapeJoint::tryFrom($r['shape'] ?? ''),
                seat: Seat::tryFrom($r['seat'] ?? ''),
                stays: $r['stays'] ?? false,
                fastens: $r['fastens'] ?? false,
                bonds: $r['bonds'] ?? false,
                copiesOld: $r['copies_old'] ?? false,
                works: $r['works'] ?? null,
                iso: $r['iso'],
                inch: $r['inch'],
                inchAlso: $r['inch_also'] ?? [],
                thumb: $r['thumb'],
                given: $r['given'] ?? null,
                against: $r['against'] ?? [],
                ra: $r['ra'] ?? null,
            ),
            $rows,
        );
    }

    /** @return array<string, mixed> what the screens choose by */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'name' => $this->name,
            'says' => $this->says,
            'shape' => $this->shape !== null,
            'seat' => $this->seat !== null,
            'fastens' => $this->fastens,
        ];
    }

    /**
     * Clearance within which such a joint works, mm, though a class may ask for less; null where nothing is said of it.
     *
     * @param  float  $sizeMm  above 0
     *
     * Source: common practice, no source.
     */
    public function worksWithin(float $sizeMm): ?Range
    {
        return $this->works === null
            ? null
            : new Range(
                $this->works['least_mm'] + $this->works['least_per_m'] * $sizeMm / 1000,
                $this->works['most_mm'] + $this->works['most_per_m'] * $sizeMm / 1000,
            );
    }

    /** The class a school names for it; null where it names none. */
    public function fit(School $school): ?string
    {
        return match ($school) {
            School::Iso => $this->iso,
            School::Inch => $this->inch,
            School::Thumb => null,
        };
    }

    /**
     * What the schools offer at a size (nothing for a shape); a school that does not cover the size is left out.
     *
     * @param  float  $sizeMm  above 0
     * @return list<Offer>
     *
     * Sources: ISO 286 and ANSI B4.2; ANSI B4.1; thumb rules are common practice, no source.
     */
    public function offers(float $sizeMm): array
    {
        $offers = [];
        if ($this->iso !== null && $sizeMm <= self::ISO_TO_MM) {
            $offers[] = new Offer(
                School::Iso,
                $this->iso,
                Iso286::clearance($sizeMm, $this->iso),
                Say::plain('hole basis'),
                'ISO 286-2:2010',
            );
        }
        foreach ($this->inch === null ? [] : [$this->inch, ...$this->inchAlso] as $class) {
            if (InchFit::covers($sizeMm, $class)) {
                $offers[] = new Offer(
                    School::Inch,
                    $class,
                    InchFit::of($sizeMm, $class)->clearance(),
                    Say::plain($class === $this->inch ? 'inch system' : 'inch system, as well'),
                    'ANSI B4.1-1967 (R2009)',
                );
            }
        }
        if ($this->given !== null) {
            $offers[] = new Offer(
                School::Iso,
                'film, metric',
                new Range($this->given['iso']['least_mm'], $this->given['iso']['most_mm']),
                Say::plain('what compounds fill'),
                'common practice of compound makers, no source',
            );
            $offers[] = new Offer(
                School::Inch,
                'film, inch',
                new Range(25.4 * $this->given['inch']['least_in'], 25.4 * $this->given['inch']['most_in']),
                Say::plain('what compounds fill'),
                'common practice of compound makers, no source',
            );
        }
        $hole = $this->code === 'clears' ? ClearanceHole::for($sizeMm) : null;
        if ($hole !== null) {
            $offers[] = new Offer(
                School::Iso,
                "{$hole->thread} fine to medium",
                $hole->clearanceOver($sizeMm),
                Say::with('fine {f}, medium {m}, coarse {c}', [
                    'f' => LengthWriter::size($hole->fineMm),
                    'm' => LengthWriter::size($hole->mediumMm),
                    'c' => LengthWriter::size($hole->coarseMm),
                ]),
                'ISO 273:1979',
            );
        }
        if ($this->thumb !== null) {
            $offers[] = self::thumbOffer($this->thumb, $sizeMm);
        }

        return $offers;
    }

    /**
     * @param  array{says: string, least: array{base_in: float, per_in: float}, most: array{base_in: float, per_in: float}}  $thumb
     */
    private static function thumbOffer(array $thumb, float $sizeMm): Offer
    {
        $inches = $sizeMm / 25.4;
        $at = static fn (array $rule): float => 25.4 * ($rule['base_in'] + $rule['per_in'] * $inches);
        $range = Range::of($at($thumb['least']), $at($thumb['most']));
        $remark = str_contains($thumb['says'], ' to ')
            ? Say::plain($thumb['says'])
            : Say::with("{$thumb['says']}: {middle}; limits half and one and a half", [
                'middle' => LengthWriter::difference($range->middle()),
            ]);

        return new Offer(School::Thumb, 'Thumb', $range, $remark, 'common practice, no source');
    }
}
