<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Making\BondAssembly;
use Oldpart\Core\Making\PressAssembly;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Making\TaperAssembly;
use Oldpart\Core\Making\TrialAssembly;
use Oldpart\Core\Picture\ForcePicture;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Safety\Caution;

/** Putting the job together: cautions to tick, steps, the force to expect, checks after. */
final readonly class AssemblyAnswer implements \JsonSerializable
{
    /**
     * @param  list<Step>  $steps
     * @param  list<Caution>  $cautions
     */
    private function __construct(private JobFacts $facts, private ?Press $press, public array $steps, public array $cautions, private ?PressingAnswer $pressing, private ?RehearsalAnswer $rehearsal, private bool $bonded)
    {
    }

    /** @param  list<JointAnswer>  $joints */
    public static function of(JobFacts $facts, array $joints, ?Press $press, SurveyAnswer $survey, bool $withheld): self
    {
        $pressed = array_filter($joints, static fn (JointAnswer $j): bool => $j->isSized() && $j->canBeTight() && ! $j->purpose->isLength) !== [];
        $shown = $withheld ? null : $press;
        $bonded = array_filter($joints, static fn (JointAnswer $j): bool => $j->isSized() && $j->purpose->code === 'bonded') !== [];
        $tight = array_values(array_filter($joints, static fn (JointAnswer $j): bool => $j->press !== null))[0] ?? null;
        $heavy = array_filter($survey->parts, static fn (PartAnswer $p): bool => $p->isHeavy()) !== [];
        $iron = $press !== null && ($press->fit->outer->family === 'cast iron' || $press->fit->inner->family === 'cast iron');

        return new self($facts, $shown, self::order($facts, $joints, $shown, $pressed, $bonded), [
            ...($pressed ? Caution::for('press') : []), ...($bonded ? Caution::for('bond') : []), ...($iron ? Caution::for('cast iron') : []), ...($heavy ? Caution::for('lifting') : []),
        ], $tight === null ? null : PressingAnswer::of($facts, $tight), $tight === null ? null : RehearsalAnswer::of($facts, $tight), $bonded);
    }

    /**
     * Each way of putting together that the job has, in the order press, bond, taper; where it has none of them, by hand.
     *
     * @param  list<JointAnswer>  $joints
     * @return list<Step>
     */
    private static function order(JobFacts $facts, array $joints, ?Press $press, bool $pressed, bool $bonded): array
    {
        $turns = array_filter($joints, static fn (JointAnswer $j): bool => $j->purpose->runs) !== [];
        $oilHole = array_filter($facts->surfaces, static fn (SurfaceFacts $s): bool => preg_match('/\b(?:oil|grease)/i', $s->name) === 1) !== [];
        $tapered = array_filter($joints, static fn (JointAnswer $j): bool => $j->purpose->code === 'taper') !== [];
        $steps = [
            ...($pressed ? PressAssembly::steps($press, $facts->shop->pressN, $turns, $oilHole) : []),
            ...($bonded ? BondAssembly::steps($turns, $oilHole) : []),
            ...($tapered ? TaperAssembly::steps() : []),
        ];

        // A step that two ways share is ticked once; what is degreased for a bond is not oiled.
        return $steps === [] ? TrialAssembly::steps() : array_values(array_column($steps, null, 'code'));
    }

    /** @return list<Caution> all that are printed: of putting it together, and of the heat and cold chosen */
    public function allCautions(): array
    {
        return [...$this->cautions, ...($this->rehearsal?->cautions() ?? [])];
    }

    public function open(): int
    {
        return count(array_filter([...$this->steps, ...$this->cautions], fn (Step|Caution $s): bool => ! $this->facts->isTicked($s->code)));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'steps' => array_map(fn (Step $s): array => [...$s->jsonSerialize(), 'ticked' => $this->facts->isTicked($s->code)], $this->steps),
            'cautions' => array_map(fn (Caution $c): array => ['code' => $c->code, 'says' => $c->says, 'ticked' => $this->facts->isTicked($c->code)], $this->cautions),
            'curing' => $this->bonded ? Table::rows('curing-times') : [],
            'pressing' => $this->pressing,
            'rehearsal' => $this->rehearsal,
            'force' => $this->press === null ? null : [
                'least' => Figure::forceAtLeast($this->press->pressForceLeastN),
                'most' => Figure::forceUpTo($this->press->pressForceN),
                'press' => Figure::forceAtLeast($this->facts->shop->pressN),
                'enough' => $this->press->pressForceN <= $this->facts->shop->pressN,
            ],
            'picture' => $this->press === null ? null : ForcePicture::draw($this->press, $this->facts->shop->pressN),
        ];
    }
}
