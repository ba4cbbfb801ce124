<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Quantity\LengthWriter;

/** What each skill is worth in a practice that is over. Our own marks, of 100. */
final readonly class Marks
{
    /** For each thing done in the wrong order. */
    private const ORDER = 40;

    public function __construct(
        private Workshop $shop,
        private Outcome $believed,
        private Lesson $lesson,
    ) {
    }

    /**
     * @param  list<JointEnd>  $joints
     * @param  list<SizeEnd>  $sizes
     * @param  list<Belief>  $beliefs
     * @return list<Score>
     */
    public function of(array $joints, array $sizes, array $beliefs, ?bool $fell, bool $declined): array
    {
        return [
            $this->measuring($joints),
            $this->fit($joints),
            $this->cutting($sizes),
            $this->order($beliefs),
            $this->judgement($joints, $fell, $declined),
        ];
    }

    /**
     * What was found of the mates against what is true: all of it where nothing is off, none where half the room of the
     * joint is.
     *
     * @param  list<JointEnd>  $joints
     */
    private function measuring(array $joints): Score
    {
        $worst = null;
        $share = 0.0;
        foreach ($joints as $end) {
            foreach ([$end->joint->inner, $end->joint->outer] as $id) {
                $found = $this->believed->read[$id] ?? null;
                $true = $this->shop->truth->surfaces[$id] ?? null;
                if ($found === null || $true === null || $true->cut) {
                    continue;
                }
                $off = abs($found->meanMm - $true->shape->sizeMm);
                if ($worst === null || $off / $end->works->width() > $share) {
                    $share = $off / $end->works->width();
                    $worst = Say::with('The worst: “{surface}”, off by {by}.', [
                        'surface' => $this->shop->laid->surface($id)->name ?? '',
                        'by' => LengthWriter::difference($off),
                    ]);
                }
            }
        }

        return $worst === null
            ? Score::none(Skill::Measuring, 'No mate was measured.')
            : Score::of(Skill::Measuring, 100 * (1 - 2 * $share), $worst);
    }

    /** @param  list<JointEnd>  $joints */
    private function fit(array $joints): Score
    {
        $chosen = $right = 0;
        foreach ($joints as $end) {
            foreach ($this->believed->joints as $sized) {
                if ($sized->joint->id === $end->joint->id && $sized->wantedMm !== null) {
                    $chosen++;
                    $right += (int) $this->within($sized, $end);
                }
            }
        }

        return $chosen === 0
            ? Score::none(Skill::Fit, 'No fit was chosen.')
            : Score::of(
                Skill::Fit,
                (100 * $right) / $chosen,
                Say::with('{right} of {chosen} within what the joint works within.', [
                    'right' => $right,
                    'chosen' => $chosen,
                ]),
            );
    }

    private function within(SizedJoint $sized, JointEnd $end): bool
    {
        return $sized->wantedMm !== null
            && $sized->joint->purpose === $end->joint->purpose
            && $sized->wantedMm->min >= $end->works->min - 1e-9
            && $sized->wantedMm->max <= $end->works->max + 1e-9;
    }

    /** @param  list<SizeEnd>  $sizes */
    private function cutting(array $sizes): Score
    {
        $asked = array_values(array_filter($sizes, static fn (SizeEnd $s): bool => $s->asked !== null));
        $in = count(array_filter($asked, static fn (SizeEnd $s): bool => ($s->offMm() ?? 0.0) <= 1e-9));

        return $asked === []
            ? Score::none(Skill::Cutting, 'Nothing was cut to a size that was asked for.')
            : Score::of(
                Skill::Cutting,
                (100 * $in) / count($asked),
                Say::with('{in} of {all} came out inside what was asked.', ['in' => $in, 'all' => count($asked)]),
            );
    }

    /** @param  list<Belief>  $beliefs */
    private function order(array $beliefs): Score
    {
        $wrong = [];
        foreach ($beliefs as $belief) {
            if ($belief->unsaidWarmth() > Trapped::WARM_C) {
                $wrong['warm'] = 'measured warm';
            }
        }
        foreach ($this->shop->deeds() as $deed) {
            if (($deed->result['sprung'] ?? false) === true) {
                $wrong['sprung'] = 'bored a thin ring last';
            }
        }
        foreach ($this->shop->joined() as $joined) {
            if (in_array($joined, [Joined::Stuck, Joined::Spoiled, Joined::Cracked], true)) {
                $wrong[$joined->value] = match ($joined) {
                    Joined::Stuck => 'stuck half way',
                    Joined::Spoiled => 'heat beside a bond',
                    default => 'cracked it',
                };
            }
        }
        if ($this->shop->deeds() === []) {
            return Score::none(Skill::Order, 'Nothing was done.');
        }

        return Score::of(
            Skill::Order,
            100 - self::ORDER * count($wrong),
            $wrong === [] ? 'Nothing was done too early.' : implode(', ', $wrong).'.',
        );
    }

    /** @param  list<JointEnd>  $joints */
    private function judgement(array $joints, ?bool $fell, bool $declined): Score
    {
        if ($this->lesson->trap === Trap::ToDecline) {
            return Score::of(Skill::Judgement, $declined ? 100 : 0, $declined
                ? 'A job was refused that should be.'
                : 'A job was taken that should have been refused.');
        }
        if ($declined) {
            return Score::of(Skill::Judgement, 0, 'It could have been done.');
        }
        if ($fell !== null) {
            return Score::of(Skill::Judgement, $fell ? 0 : 100, $fell
                ? 'The mistake of this lesson was made.'
                : 'The mistake of this lesson was not made.');
        }
        $good = count(array_filter($joints, static fn (JointEnd $j): bool => $j->isGood()));

        return $joints === []
            ? Score::none(Skill::Judgement, 'Nothing came of it that could be judged.')
            : Score::of(
                Skill::Judgement,
                (100 * $good) / count($joints),
                Say::with('{good} of {all} joints do their work.', ['good' => $good, 'all' => count($joints)]),
            );
    }
}
