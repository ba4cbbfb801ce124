<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Range;

/**
 * What a key, pins, screws or a weld hold, at the load at which they give: torque N·m, and along the axis N. Shear at
 * 0.577 of the yield (distortion energy; Shigley), side pressure at the yield; screws by their tightening torque, F = T
 * / (0.2 d) (common practice, dry).
 */
final readonly class Fastening
{
    /** Share of the yield at which a metal shears. Distortion energy; Shigley's Mechanical Engineering Design. */
    private const SHEAR = 0.577;

    /** Nut factor of a dry screw, K in F = T / (K d). Common practice. */
    private const NUT_FACTOR = 0.2;

    /** Steel on steel or iron, dry. Common practice, on the low side. */
    private const FRICTION = 0.15;

    /**
     * @param  ?float  $torqueNm  null where it is not reckoned
     * @param  ?float  $axialN  null where it holds nothing along the axis, or it is not reckoned
     * @param  string  $gives  what gives first
     * @param  list<WorkingStep>  $working
     * @param  list<Note>  $notes
     */
    private function __construct(
        public FasteningKind $kind,
        public ?float $torqueNm,
        public ?float $axialN,
        public string $gives,
        public array $working,
        public array $notes,
    ) {
    }

    /**
     * A parallel key: sheared over its width, pressed on half of its height by each side. T = τ w L d/2 and p (h/2) L
     * d/2, the lesser.
     *
     * Source: Shigley's Mechanical Engineering Design, keys and pins.
     *
     * @param  float  $sideMpa  yield of the weakest of key, shaft and hub: its sides are pressed
     *
     * @throws BadInput for sizes not above 0
     */
    public static function key(
        float $shaftMm,
        float $widthMm,
        float $heightMm,
        float $lengthMm,
        float $yieldMpa,
        float $sideMpa,
    ): self {
        self::above([
            'shaft' => $shaftMm,
            'width' => $widthMm,
            'height' => $heightMm,
            'length' => $lengthMm,
            'yield' => $yieldMpa,
            'side' => $sideMpa,
        ]);
        $shear = (self::SHEAR * $yieldMpa * $widthMm * $lengthMm * $shaftMm) / 2 / 1000;
        $crush = ((($sideMpa * $heightMm) / 2) * $lengthMm * $shaftMm) / 2 / 1000;
        $notes =
            $lengthMm > 1.5 * $shaftMm
                ? [
                    Note::caution(
                        'key-long',
                        'A key longer than one and a half shaft diameters is not loaded over its whole length.',
                    ),
                ]
                : [];

        return new self(
            kind: FasteningKind::Key,
            torqueNm: min($shear, $crush),
            axialN: null,
            gives: $shear <= $crush ? 'the key shears' : 'its sides crush',
            working: [
                self::step('Sheared', '0.577 · yield · w · L · d/2', $shear, 'Shigley, keys and pins'),
                self::step('Crushed', 'yield · (h/2) · L · d/2', $crush, 'Shigley, keys and pins'),
            ],
            notes: $notes,
        );
    }

    /**
     * A pin across the joint: T = τ A D, two sections at half the diameter each; along the axis both sections.
     *
     * @param  float  $diameterMm  of the joint
     *
     * @throws BadInput for sizes not above 0, or a pin thicker than a third of the joint
     */
    public static function crossPin(float $diameterMm, float $pinMm, int $count, float $yieldMpa): self
    {
        self::above(['diameter' => $diameterMm, 'pin' => $pinMm, 'count' => (float) $count, 'yield' => $yieldMpa]);
        $area = (M_PI / 4) * $pinMm ** 2;
        $notes = [];
        if ($pinMm > $diameterMm / 3) {
            $notes[] = Note::caution(
                'pin-thick',
                'A cross pin thicker than a third of the shaft leaves too little of it: a quarter is usual.',
            );
        }

        return new self(
            kind: FasteningKind::CrossPin,
            torqueNm: (self::SHEAR * $yieldMpa * $area * $diameterMm * $count) / 1000,
            axialN: 2 * self::SHEAR * $yieldMpa * $area * $count,
            gives: 'the pin shears',
            working: [
                self::step(
                    'Sheared twice',
                    '0.577 · yield · A · D · n',
                    (self::SHEAR * $yieldMpa * $area * $diameterMm * $count) / 1000,
                    'statics; distortion energy',
                ),
            ],
            notes: $notes,
        );
    }

    /**
     * Dowels: on a circle through a flange each is sheared once, along the joint half in each part over its length; and
     * the sides of their holes are crushed, along the joint p · (d/2) · L, through a flange p · d · L. The lesser: in
     * cast iron mostly the side.
     *
     * @param  float  $circleMm  on which they stand; the joint's diameter where they lie along it
     * @param  ?float  $alongMm  their length along the joint; null where they go through a flange
     * @param  ?float  $sideMpa  what the weakest of both parts and the pin stands at its side: yield, of a brittle metal its tensile strength; null where not known
     * @param  ?float  $deepMm  how deep they sit in the thinner part of a flange
     *
     * Source: statics; distortion energy for the shear (Shigley, keys and pins).
     *
     * @throws BadInput for sizes not above 0
     */
    public static function dowels(
        float $circleMm,
        float $pinMm,
        int $count,
        float $yieldMpa,
        ?float $alongMm = null,
        ?float $sideMpa = null,
        ?float $deepMm = null,
    ): self {
        self::above([
            'circle' => $circleMm,
            'pin' => $pinMm,
            'count' => (float) $count,
            'yield' => $yieldMpa,
            'long' => $alongMm ?? 1.0,
            'deep' => $deepMm ?? 1.0,
            'side' => $sideMpa ?? 1.0,
        ]);
        $arm = ($count * $circleMm) / 2 / 1000;
        $shear = self::SHEAR * $yieldMpa * ($alongMm === null ? (M_PI / 4) * $pinMm ** 2 : $pinMm * $alongMm) * $arm;
        $bears = $alongMm !== null ? ($pinMm / 2) * $alongMm : ($deepMm === null ? null : $pinMm * $deepMm);
        $crush = $sideMpa === null || $bears === null ? null : $sideMpa * $bears * $arm;
        $notes =
            $count > 1
                ? [Note::info('dowels-share', 'That all of them carry alike needs them reamed together in place.')]
                : [];
        if ($crush === null) {
            $notes[] = Note::caution(
                'dowel-side',
                'Whether the sides of their holes stand it is not reckoned: '.
                    ($sideMpa === null
                        ? 'say what both parts are made of'
                        : 'say how deep they sit in the thinner part').
                    '. In cast iron the side gives before the pin.',
            );
        }

        return new self(
            kind: FasteningKind::Dowels,
            torqueNm: min($shear, $crush ?? INF),
            axialN: null,
            gives: $crush !== null && $crush < $shear ? 'the sides of their holes crush' : 'the dowels shear',
            working: [
                self::step(
                    'Sheared once',
                    $alongMm === null ? '0.577 · yield · πd²/4 · n · R' : '0.577 · yield · d · L · n · R',
                    $shear,
                    'statics; distortion energy',
                ),
                ...$crush === null
                    ? []
                    : [
                        self::step(
                            'Sides crushed',
                            $alongMm === null ? 'p · d · L · n · R' : 'p · (d/2) · L · n · R',
                            $crush,
                            'statics',
                        ),
                    ],
            ],
            notes: $notes,
        );
    }

    /**
     * Set screws: each pushes with T / (0.2 d), and friction at its point and on the far side holds.
     *
     * @param  float  $tightenNm  each
     *
     * @throws BadInput for sizes not above 0
     */
    public static function setScrews(float $diameterMm, float $screwMm, int $count, float $tightenNm): self
    {
        self::above([
            'diameter' => $diameterMm,
            'screw' => $screwMm,
            'count' => (float) $count,
            'tighten' => $tightenNm,
        ]);
        $push = (($tightenNm * 1000) / (self::NUT_FACTOR * $screwMm)) * $count;
        $friction = 2 * self::FRICTION * $push;

        return new self(
            kind: FasteningKind::SetScrews,
            torqueNm: ($friction * $diameterMm) / 2 / 1000,
            axialN: $friction,
            gives: 'they slip',
            working: [
                self::forceStep('Pushes', 'n · T / (0.2 d)', $push),
                self::step(
                    'Holds',
                    '2 μ · push · D/2, μ 0.15',
                    ($friction * $diameterMm) / 2 / 1000,
                    'common practice',
                ),
            ],
            notes: [
                Note::caution(
                    'set-screw-off-centre',
                    'A set screw pushes a hub with clearance off centre by half of it, and backs out where it shakes: a flat under it, and something that locks it.',
                ),
            ],
        );
    }

    /**
     * Bolts that clamp two faces: F = T / (0.2 d) each, friction at their circle.
     *
     * @throws BadInput for sizes not above 0
     */
    public static function bolts(float $circleMm, float $boltMm, int $count, float $tightenNm): self
    {
        self::above(['circle' => $circleMm, 'bolt' => $boltMm, 'count' => (float) $count, 'tighten' => $tightenNm]);
        $clamp = (($tightenNm * 1000) / (self::NUT_FACTOR * $boltMm)) * $count;
        $torque = (self::FRICTION * $clamp * $circleMm) / 2 / 1000;

        return new self(
            kind: FasteningKind::Bolts,
            torqueNm: $torque,
            axialN: self::FRICTION * $clamp,
            gives: 'the faces slip',
            working: [
                self::forceStep('Clamps', 'n · T / (0.2 d)', $clamp),
                self::step('Holds', 'μ · clamp · R, μ 0.15', $torque, 'common practice'),
            ],
            notes: [
                Note::info(
                    'bolts-lose',
                    'Paint, gaskets and soft washers between the faces lose the clamp: metal on metal, and look at it again after the first run.',
                ),
            ],
        );
    }

    /**
     * A fillet all round a shaft: T = 0.707 · leg · π d²/2 · τ, with half of the shear yield of the weaker metal.
     *
     * Source: Shigley's Mechanical Engineering Design, welds in torsion, throat 0.707 of the leg; the allowable common
     * practice.
     *
     * @param  float  $legMm  as left after machining
     *
     * @throws BadInput for sizes not above 0
     */
    public static function weld(float $diameterMm, float $legMm, int $sides, float $yieldMpa): self
    {
        self::above(['diameter' => $diameterMm, 'leg' => $legMm, 'sides' => (float) $sides, 'yield' => $yieldMpa]);
        $shear = (self::SHEAR * $yieldMpa) / 2;
        $torque = (((0.7071 * $legMm * M_PI * $diameterMm ** 2) / 2) * $shear * $sides) / 1000;

        return new self(
            kind: FasteningKind::Weld,
            torqueNm: $torque,
            axialN: 0.7071 * $legMm * M_PI * $diameterMm * $shear * $sides,
            gives: 'the throat tears',
            working: [
                self::step(
                    'Throat sheared',
                    '0.707 · leg · π d²/2 · 0.577 · yield / 2',
                    $torque,
                    'Shigley, welds in torsion',
                ),
            ],
            notes: [
                Note::caution(
                    'weld-licensed',
                    'A weld is as good as the one who made it: where somebody can be hurt it is for a qualified welder. What is machined off the fillet is off its throat.',
                ),
            ],
        );
    }

    /**
     * A split bush drawn in by its screws: radial force = F / (tan α + μ), torque = μ · radial · d/2.
     *
     * @param  float  $halfAngleDeg  of its taper, above 0 and below 45
     *
     * @throws BadInput for sizes not above 0
     */
    public static function taperBush(
        float $shaftMm,
        float $halfAngleDeg,
        float $screwMm,
        int $count,
        float $tightenNm,
    ): self {
        self::above([
            'shaft' => $shaftMm,
            'half_angle' => $halfAngleDeg,
            'screw' => $screwMm,
            'count' => (float) $count,
            'tighten' => $tightenNm,
        ]);
        if ($halfAngleDeg >= 45) {
            throw new BadInput('half_angle', 'half_angle', 'Half the taper’s angle is below 45°.');
        }
        $draw = (($tightenNm * 1000) / (self::NUT_FACTOR * $screwMm)) * $count;
        $radial = $draw / (tan(deg2rad($halfAngleDeg)) + self::FRICTION);
        $torque = (self::FRICTION * $radial * $shaftMm) / 2 / 1000;
        $notes =
            tan(deg2rad($halfAngleDeg)) < self::FRICTION
                ? [
                    Note::info(
                        'self-locking',
                        'It is self-locking: it stays when the screws are out, and wants jacking holes to come apart.',
                    ),
                ]
                : [];

        return new self(
            kind: FasteningKind::TaperBush,
            torqueNm: $torque,
            axialN: self::FRICTION * $radial,
            gives: 'it slips',
            working: [
                self::forceStep('Drawn in by', 'n · T / (0.2 d)', $draw),
                self::forceStep('Presses on the shaft with', 'draw / (tan α + μ)', $radial),
                self::step('Holds', 'μ · radial · d/2, μ 0.15', $torque, 'statics'),
            ],
            notes: $notes,
        );
    }

    /** A knurl drives, but how much is nobody's table: it is not counted. */
    public static function knurl(): self
    {
        return new self(
            kind: FasteningKind::Knurl,
            torqueNm: null,
            axialN: null,
            gives: '',
            working: [],
            notes: [
                Note::info(
                    'knurl',
                    'A knurl keeps a part from turning and a compound from being wiped off, but it is not reckoned: it counts for nothing here, and it centres poorly.',
                ),
            ],
        );
    }

    /**
     * A compound in a press fit: the press locates, the compound fills. It counts by its own strength, as warm as it
     * gets, and for nothing where it lets go.
     *
     * Source: as Bond.
     *
     * @throws BadInput for sizes not above 0
     */
    public static function compound(float $shaftMm, float $lengthMm, float $hottestC): self
    {
        self::above(['shaft' => $shaftMm, 'length' => $lengthMm]);
        $bond = Bond::of($shaftMm, $lengthMm, new Range(0.0, 0.0), $hottestC);
        $notes = array_values(array_filter($bond->notes, static fn (Note $n): bool => $n->code !== 'bond-gap'));
        $gone = array_filter($notes, static fn (Note $n): bool => $n->code === 'bond-too-hot') !== [];
        $torque = $bond->holdTorqueNm->min;

        return new self(
            kind: FasteningKind::Compound,
            torqueNm: $gone ? null : $torque,
            axialN: $gone ? null : $bond->holdAxialN->min,
            gives: 'its film',
            working: [
                self::step(
                    'Compound',
                    'T = τ/3 · π d L · d/2, half when hot',
                    $torque,
                    'ISO 10123; a third, common practice',
                ),
            ],
            notes: $notes,
        );
    }

    /** @param  array<string, float>  $sizes */
    private static function above(array $sizes): void
    {
        foreach ($sizes as $field => $value) {
            if (! is_finite($value) || $value <= 0) {
                throw new BadInput('out-of-range', $field, 'Every size, count and torque of it is above zero.');
            }
        }
    }

    private static function step(string $name, string $formula, float $torqueNm, string $source): WorkingStep
    {
        return new WorkingStep(
            $name,
            $formula,
            Say::plain(number_format($torqueNm, $torqueNm < 10 ? 1 : 0).' N·m'),
            $source,
        );
    }

    private static function forceStep(string $name, string $formula, float $newton): WorkingStep
    {
        return new WorkingStep(
            $name,
            $formula,
            Say::plain(number_format($newton / 1000, 1).' kN'),
            'common practice, dry',
        );
    }
}
