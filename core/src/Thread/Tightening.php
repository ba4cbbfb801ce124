<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\Range;

/**
 * How hard a screw is tightened: T = K·d·F, F three quarters of its proof load; N, N·m.
 *
 * Source: K and the share of the proof load common practice (handbooks, for screws that are used again); tensile area
 * ISO 898-1.
 */
final readonly class Tightening
{
    /** Of the proof load, for screws that come out again. Common practice. */
    private const SHARE = 0.75;

    /** With a torque wrench the pull is off by so much either way. Common practice. */
    private const OFF = 0.3;

    private function __construct(
        public Thread $thread,
        public string $class,
        public float $pullN,
        public Range $torqueNm,
        private float $areaMm2,
        private float $proofMpa,
        private Range $k,
        private string $how,
        private string $says,
    ) {
    }

    /**
     * @param  string  $class  by its code in data/bolt-classes.json
     * @param  string  $lubrication  dry, oiled, paste
     *
     * @throws BadInput for a class or a way that is not known, or a thread that no screw of that class has
     */
    public static function of(Thread $thread, string $class, string $lubrication): self
    {
        if ($thread->form !== ThreadForm::Sixty || $thread->isTapered()) {
            throw new BadInput('thread', 'thread', "{$thread->label}: classes of strength are marked on metric and unified screws only. Tighten others by feel, or as their maker says.");
        }
        $row = self::row('classes', $class, 'class');
        $way = self::row('lubrication', $lubrication, 'lubrication');
        $area = (M_PI / 4) * ($thread->majorMm - 0.9382 * $thread->pitchMm) ** 2;
        /** @var array{float, float} $k */
        $k = $way['k'];
        $proof = is_numeric($row['proof_mpa']) ? (float) $row['proof_mpa'] : 0.0;
        $pull = self::SHARE * $proof * $area;

        return new self(
            thread: $thread,
            class: is_string($row['name']) ? $row['name'] : $class,
            pullN: $pull,
            torqueNm: new Range($k[0] * $thread->majorMm / 1000 * $pull, $k[1] * $thread->majorMm / 1000 * $pull),
            areaMm2: $area,
            proofMpa: $proof,
            k: new Range(...$k),
            how: is_string($way['name']) ? $way['name'] : $lubrication,
            says: is_string($row['says']) ? $row['says'] : '',
        );
    }

    /** @return list<array{code: string, name: string}> */
    public static function classes(): array
    {
        return array_map(
            static fn (array $row): array => ['code' => (string) $row['code'], 'name' => (string) $row['name']],
            self::rows('classes'),
        );
    }

    /** “38 to 46 N·m (28 to 34 lb·ft)” */
    public function torque(): Say
    {
        return Figure::torque($this->torqueNm);
    }

    /** What it pulls with, from what a torque wrench leaves open, N. */
    public function pull(): Range
    {
        return new Range((1 - self::OFF) * $this->pullN, (1 + self::OFF) * $this->pullN);
    }

    /** @return list<Note> */
    public function notes(): array
    {
        $notes = [
            Note::info('feel', 'A torque wrench leaves the pull open by about a third either way: what it has to hold is reckoned with the low end.'),
            Note::info('soft', 'Into cast iron, bronze or light metal the thread may give before the screw: see how long it is engaged, twice its outside in light metal.'),
        ];
        if ($this->says !== '') {
            $notes[] = Note::caution('class', "{$this->class}: {$this->says}.");
        }

        return $notes;
    }

    public function working(): Working
    {
        return new Working([
            new WorkingStep(
                'Pull',
                'three quarters of the proof load: 0.75 · R · A',
                Say::plain('0.75 × '.number_format($this->proofMpa).' MPa × '.number_format($this->areaMm2, 1).' mm² = '.number_format($this->pullN / 1000, 1).' kN'),
                'ISO 898-1, SAE J429; the share is common practice',
            ),
            new WorkingStep(
                'Torque',
                'K · d · F',
                Say::plain(implode(' × ', [
                    number_format($this->k->min, 2).' to '.number_format($this->k->max, 2)." ({$this->how})",
                    number_format($this->thread->majorMm, 2).' mm',
                    number_format($this->pullN / 1000, 1).' kN',
                ])),
                'common practice',
            ),
        ]);
    }

    /** @return array<string, mixed> */
    private static function row(string $list, string $code, string $field): array
    {
        $known = [];
        foreach (self::rows($list) as $row) {
            if ($row['code'] === $code) {
                return $row;
            }
            $known[] = $row['code'];
        }
        throw new BadInput('no-such', $field, "“{$code}” is none of: ".implode(', ', array_filter($known, is_string(...))).'.');
    }

    /** @return list<array<string, mixed>> */
    private static function rows(string $list): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = Table::read('bolt-classes')[$list];

        return $rows;
    }
}
