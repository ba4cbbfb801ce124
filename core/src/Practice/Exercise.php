<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/** Something to read or to add up by eye: drawn from a seed, with the one right answer. */
final readonly class Exercise implements \JsonSerializable
{
    private function __construct(
        public ExerciseKind $kind,
        public int $seed,
        public Say $says,
        public ?Drawing $picture,
        public float $answerMm,
        /** Half a step of what it is read on, mm. */
        public float $withinMm,
        public Unit $unit,
        public string $answer,
    ) {
    }

    /** @param  int  $seed  0 to 999,999 */
    public static function draw(ExerciseKind $kind, int $seed): self
    {
        $dice = new Dice($seed, $kind->value);

        return match ($kind) {
            ExerciseKind::MicrometerMm => self::read($kind, $seed, round($dice->even(0.6, 24.9), 3), Unit::Millimetre),
            ExerciseKind::MicrometerIn => self::read($kind, $seed, round($dice->even(0.03, 0.98), 4), Unit::Inch),
            ExerciseKind::VernierMm => self::read(
                $kind,
                $seed,
                round($dice->even(2, 140) / 0.05) * 0.05,
                Unit::Millimetre,
            ),
            ExerciseKind::VernierIn => self::read($kind, $seed, round($dice->even(0.1, 5.5), 3), Unit::Inch),
            ExerciseKind::Fraction => self::fraction($seed, $dice),
            ExerciseKind::Tolerances => self::tolerances($seed, $dice),
        };
    }

    private static function read(ExerciseKind $kind, int $seed, float $value, Unit $unit): self
    {
        $inch = $unit === Unit::Inch;
        $mm = $inch ? 25.4 * $value : $value;
        $vernier = in_array($kind, [ExerciseKind::VernierMm, ExerciseKind::VernierIn], true);
        $places = $inch ? ($vernier ? 3 : 4) : ($vernier ? 2 : 3);

        return new self(
            kind: $kind,
            seed: $seed,
            says: Say::plain('What does it say?'),
            picture: $vernier ? GaugeFace::vernier($mm, $unit) : GaugeFace::thimble($mm, $unit),
            answerMm: $mm,
            withinMm: ($inch ? 25.4 : 1.0) * 0.5 * ($vernier && ! $inch ? 0.05 : 10 ** -$places) + 1e-9,
            unit: $unit,
            answer: number_format($value, $places, '.', '').($inch ? ' in' : ' mm'),
        );
    }

    private static function fraction(int $seed, Dice $dice): self
    {
        $under = $dice->pick([8, 16, 32, 64]);
        $over = 2 * $dice->random->getInt(0, intdiv($under, 2) - 1) + 1;
        $value = $over / $under;

        return new self(
            kind: ExerciseKind::Fraction,
            seed: $seed,
            says: Say::with('Write {fraction} in as a decimal, to the nearest thou.', ['fraction' => "{$over}/{$under}"]),
            picture: null,
            answerMm: 25.4 * $value,
            withinMm: 25.4 * 0.0005 + 1e-9,
            unit: Unit::Inch,
            answer: rtrim(rtrim(number_format($value, 6, '.', ''), '0'), '.').' in',
        );
    }

    /** The most that a gap can be: the room at its most, less both parts at their least. */
    private static function tolerances(int $seed, Dice $dice): self
    {
        $ten = static fn (float $from, float $to): float => round($dice->even($from, $to), 1);
        $hundredth = static fn (float $from, float $to): float => round($dice->even($from, $to), 2);
        [$a, $b] = [$ten(10, 30), $ten(10, 30)];
        [$ta, $tb, $tr] = [$hundredth(0.02, 0.1), $hundredth(0.02, 0.1), $hundredth(0.05, 0.2)];
        $room = round($a + $b + $ten(0.3, 0.9), 1);
        $answer = $room + $tr - ($a - $ta) - ($b - $tb);
        $n = static fn (float $mm): string => rtrim(rtrim(number_format($mm, 2, '.', ''), '0'), '.');

        return new self(
            kind: ExerciseKind::Tolerances,
            seed: $seed,
            says: Say::with(
                'Two rings, {a} ± {ta} mm and {b} ± {tb} mm, lie in a room of {room} ± {tr} mm. How large can the gap be at most, in mm?',
                ['a' => $n($a), 'ta' => $n($ta), 'b' => $n($b), 'tb' => $n($tb), 'room' => $n($room), 'tr' => $n($tr)],
            ),
            picture: null,
            answerMm: $answer,
            withinMm: 0.005 + 1e-9,
            unit: Unit::Millimetre,
            answer: number_format($answer, 2, '.', '').' mm',
        );
    }

    /** @throws BadInput for what is no size */
    public function isRight(string $typed): bool
    {
        return abs(LengthReader::read($typed, $this->unit)->length->mm - $this->answerMm) <= $this->withinMm;
    }

    /** @return array<string, mixed> without its answer */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind->value,
            'label' => $this->kind->label(),
            'seed' => $this->seed,
            'says' => $this->says,
            'picture' => $this->picture,
            'unit' => $this->unit->value,
        ];
    }
}
