<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Assembly;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Evaluate\Making\AchievedFit;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Fit\SizesThatWork;
use Oldpart\Core\Loop\Sureness;
use Oldpart\Core\Picture\Bar;
use Oldpart\Core\Picture\BarsPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Tone;

/**
 * How likely the job as a whole goes together and works: every joint, loop and clearance whose chance is known. Joints
 * on one measured mate stand and fall with the same misreading; apart from that each counts by itself.
 */
final readonly class WholeChance implements \JsonSerializable
{
    /** How far a misreading is followed, in standard deviations, and in how many steps. */
    private const REACH = 5.0;

    private const STEPS = 200;

    /**
     * @param  list<array{id: string, name: string, chance: float}>  $pieces  the least likely first
     * @param  list<string>  $unknown  names of what is not known yet
     * @param  bool  $made  everything that is made is made
     */
    private function __construct(
        public float $chance,
        public array $pieces,
        public array $unknown,
        public bool $made,
    ) {
    }

    /**
     * @param  list<array{id: string, name: string, chance: ?float}>  $clears  the job's clearances
     * @return ?self null where nothing is known yet, or sizes are withheld
     *
     * Source: JCGM 106:2012; product of chances, with a shared misreading summed over.
     */
    public static function of(Outcome $out, array $clears): ?self
    {
        if ($out->withheld) {
            return null;
        }
        $byMate = [];
        $pieces = [];
        $unknown = [];
        $made = true;
        $pairs = 1.0;
        foreach ($out->joints as $joint) {
            if ($joint->purpose->shape !== null) {
                continue;
            }
            $size = $joint->make === null ? null : AchievedFit::madeSize($out->making, $joint->make->id);
            $made = $made && ($size !== null || $joint->make === null);
            $chance = self::chanceOf($joint, $size);
            if ($chance === null || $joint->mate === null) {
                $unknown[] = $joint->joint->name;

                continue;
            }
            // Two parts that are both there share no misreading with what is made.
            if ($joint->make === null) {
                $pairs *= $chance;
            } else {
                $byMate[$joint->mate->id][] = [$joint, $size];
            }
            $pieces[] = ['id' => $joint->joint->id, 'name' => $joint->joint->name, 'chance' => $chance];
        }
        $whole = $pairs;
        foreach ($byMate as $joints) {
            $whole *= count($joints) === 1
                ? self::chanceOf(...$joints[0]) ?? 1.0
                : self::together($joints);
        }
        $others = [
            ...array_map(
                static fn ($loop): array => [
                    'id' => $loop->facts->id,
                    'name' => $loop->facts->name,
                    'chance' => $loop->chance(),
                ],
                $out->loops,
            ),
            ...$clears,
        ];
        foreach ($others as $other) {
            if ($other['chance'] === null) {
                $unknown[] = $other['name'];

                continue;
            }
            $whole *= $other['chance'];
            $pieces[] = ['id' => $other['id'], 'name' => $other['name'], 'chance' => $other['chance']];
        }
        usort($pieces, static fn (array $a, array $b): int => $a['chance'] <=> $b['chance']);

        return $pieces === [] ? null : new self($whole, $pieces, $unknown, $made);
    }

    /** @param  array{float, float}|null  $made  the size it was made to and its U95, mm */
    private static function chanceOf(SizedJoint $joint, ?array $made): ?float
    {
        if ($made === null || $joint->case === null || $joint->withheld) {
            return $joint->chance();
        }

        return self::sizes($joint)?->checkedTo($made[1] / 2)->chanceAt($made[0]);
    }

    private static function sizes(SizedJoint $joint): ?SizesThatWork
    {
        return ($joint->best->case ?? $joint->case)?->sizes();
    }

    /** @param  list<array{SizedJoint, array{float, float}|null}>  $joints  of one mate */
    private static function together(array $joints): float
    {
        $sum = 0.0;
        $step = (2 * self::REACH) / self::STEPS;
        $mate = self::sizes($joints[0][0]) ?? throw new \LogicException('its chance is known');
        for ($i = 0; $i < self::STEPS; $i++) {
            $off = ($i + 0.5) * $step - self::REACH;
            $all = $mate->misreadBelow($off + $step / 2) - $mate->misreadBelow($off - $step / 2);
            foreach ($joints as [$joint, $made]) {
                $sizes = self::sizes($joint);
                $band = $joint->band();
                $check = $made === null ? $joint->case?->checkedTo() ?? 0.0 : $made[1] / 2;
                $its = $sizes?->misreadBy($off, $check);
                if ($its !== null && $made !== null) {
                    $all *= $its->chanceAt($made[0]);
                } elseif ($its !== null && $band !== null) {
                    $all *= $its->chanceOver($band);
                }
            }
            $sum += $all;
        }

        return min(1.0, $sum);
    }

    public function says(): Say
    {
        $of = Likely::ofHundred($this->chance);
        $weakest = $this->pieces[0];

        return Say::plain(
            ($this->made ? "As made: {$of} of 100 as a whole" : "As a whole it works in {$of} of 100")
                .(Likely::isSure($weakest['chance'])
                    ? '.'
                    : '; the least likely is '.$weakest['name'].', '.Likely::ofHundred($weakest['chance']).'.')
                .($this->unknown === [] ? '' : ' Not counted yet: '.implode(', ', $this->unknown).'.'),
        );
    }

    public function working(): Working
    {
        return new Working([
            new WorkingStep(
                'As a whole',
                'the chances of all joints, loops and clearances multiplied; those on one mate together',
                Say::plain(
                    implode(
                        ', ',
                        array_map(
                            static fn (array $p): string => $p['name'].' '.Sureness::ofHundred($p['chance']),
                            $this->pieces,
                        ),
                    ).': '.Sureness::ofHundred($this->chance).' of 100',
                ),
                'JCGM 106:2012',
            ),
        ]);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'chance' => $this->chance,
            'kind' => Likely::kind($this->chance),
            'word' => Likely::word($this->chance),
            'of' => Likely::ofHundred($this->chance),
            'made' => $this->made,
            'says' => $this->says(),
            'working' => $this->working(),
            'picture' => $this->picture(),
        ];
    }

    /** Each thing that has to go together, and what comes of all of them. */
    private function picture(): Drawing
    {
        $bar = static fn (string $name, float $chance, Tone $tone = Tone::Found): Bar => new Bar(
            $name,
            100 * $chance,
            Likely::ofHundred($chance),
            tone: $tone,
        );

        return BarsPicture::draw(
            [
                $bar('As a whole', $this->chance, Tone::Make),
                ...array_map(static fn (array $piece): Bar => $bar($piece['name'], $piece['chance']), $this->pieces),
            ],
            Say::plain('How likely each goes together, of 100, and all of them: '.Likely::ofHundred($this->chance).'.'),
            100.0,
            '100 of 100',
        );
    }
}
