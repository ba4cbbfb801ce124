<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;

/** One thing done in practice, and what came of it. What was seen once stays: it is never drawn again. */
final readonly class Deed implements \JsonSerializable
{
    /** @param  array<string, mixed>  $result  what came of it; empty until it is done */
    private function __construct(
        public string $id,
        public DeedKind $kind,
        public ?string $surface,
        public ?string $instrument,
        /** Where the gauge is held: 0 at the beginning, 1 at the end. */
        public float $along,
        public float $angleDeg,
        /** A telescoping gauge or a bore gauge not rocked to its smallest: how far it is tilted. */
        public float $tiltDeg,
        /** How hard it is held: −1 barely touches, 0 as it should be, 1 squeezed. */
        public float $feel,
        /** From the other face. */
        public bool $otherFace,
        /** What was dialled, on the dial, mm; the size of a bar. */
        public float $mm,
        public float $minutes,
        public ?string $joint,
        public ?Way $way,
        public float $outerC,
        public float $innerC,
        public ?string $part,
        public ?string $test,
        public string $why,
        public array $result = [],
    ) {
    }

    /**
     * @param  array<string, mixed>  $result  what came of it, where it was done
     *
     * @throws BadInput naming the field that is wrong
     */
    public static function read(Fields $f, array $result = []): self
    {
        $in = static function (string $field, float $from, float $to, float $usual) use ($f): float {
            $value = $f->numberOrNull($field) ?? $usual;

            return $value >= $from && $value <= $to
                ? $value
                : throw $f->bad($field, "must lie between {$from} and {$to}.");
        };
        $kind = $f->choice('kind', DeedKind::class);
        $deed = new self(
            id: $f->text('id'),
            kind: $kind,
            surface: $f->textOrNull('surface'),
            instrument: $f->textOrNull('instrument'),
            along: $in('along', 0, 1, 0.5),
            angleDeg: $in('angle_deg', -360, 360, 0),
            tiltDeg: $in('tilt_deg', -20, 20, 0),
            feel: $in('feel', -1, 1, 0),
            otherFace: $f->flagOrNull('other_face') ?? false,
            mm: $in('mm', 0, 500, 0),
            minutes: $kind === DeedKind::Wait ? $in('minutes', 1, 24 * 60, 30) : $kind->minutes(),
            joint: $f->textOrNull('joint'),
            way: $f->choiceOrNull('way', Way::class),
            outerC: $in('outer_c', -196, 400, 20),
            innerC: $in('inner_c', -196, 400, 20),
            part: $f->textOrNull('part'),
            test: $f->textOrNull('test'),
            why: $f->textOrNull('why') ?? '',
            result: $result,
        );
        $needs = match ($kind) {
            DeedKind::Read => ['surface' => $deed->surface, 'instrument' => $deed->instrument],
            DeedKind::Check => ['instrument' => $deed->instrument],
            DeedKind::Clean, DeedKind::Cut => ['surface' => $deed->surface],
            DeedKind::Warmth => ['part' => $deed->part],
            DeedKind::Stock => ['test' => $deed->test],
            DeedKind::Test => ['part' => $deed->part, 'test' => $deed->test],
            DeedKind::Together => ['joint' => $deed->joint, 'way' => $deed->way?->value],
            default => [],
        };
        foreach ($needs as $field => $value) {
            if ($value === null) {
                throw $f->bad($field, 'is missing.');
            }
        }
        if ($kind === DeedKind::Decline && trim($deed->why) === '') {
            throw $f->bad('why', 'is empty: say why the job is not done.');
        }

        return $deed;
    }

    /** @param  array<string, mixed>  $result */
    public function done(array $result): self
    {
        return self::read(new Fields($this->jsonSerialize()), $result);
    }

    /** A number that came of it. */
    public function number(string $name): ?float
    {
        $value = $this->result[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    public function word(string $name): ?string
    {
        $value = $this->result[$name] ?? null;

        return is_string($value) ? $value : null;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind->value,
            'surface' => $this->surface,
            'instrument' => $this->instrument,
            'along' => $this->along,
            'angle_deg' => $this->angleDeg,
            'tilt_deg' => $this->tiltDeg,
            'feel' => $this->feel,
            'other_face' => $this->otherFace,
            'mm' => $this->mm,
            'minutes' => $this->minutes,
            'joint' => $this->joint,
            'way' => $this->way?->value,
            'outer_c' => $this->outerC,
            'inner_c' => $this->innerC,
            'part' => $this->part,
            'test' => $this->test,
            'why' => $this->why,
            'result' => $this->result,
        ];
    }
}
