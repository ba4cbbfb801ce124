<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Quantity\LengthWriter;

/** Where a job went wrong first: at a reading, at the fit, at a cut, or when it was put together. */
final readonly class FirstWrong
{
    /** A reading that takes so much of the room of its joint is at fault. */
    private const SHARE = 0.5;

    public function __construct(
        private Workshop $shop,
        private JobFacts $facts,
        private Outcome $believed,
    ) {
    }

    /**
     * Null where nothing did.
     *
     * @param  list<Belief>  $beliefs
     * @param  list<JointEnd>  $joints
     * @param  list<SizeEnd>  $sizes
     */
    public function of(array $beliefs, array $joints, array $sizes): ?Say
    {
        $bad = array_values(array_filter($joints, static fn (JointEnd $j): bool => ! $j->isGood()));
        if ($bad === []) {
            return null;
        }

        return $this->reading($beliefs, $bad)
            ?? $this->fit($bad)
            ?? $this->cut(self::touched($sizes, $bad))
            ?? $this->together($bad);
    }

    /** Why a reading is off, by {by}. */
    public static function cause(string $cause): string
    {
        return match ($cause) {
            'eye' => 'read off wrong by {by}',
            'gauge' => 'the gauge is off by {by}',
            'warm' => 'the part was warm: {by}',
            'burr' => 'a burr under the gauge: {by}',
            'jaws' => 'the flats of the jaws: {by}',
            'face' => 'from the wrong face: {by}',
            'held' => 'tilted or held too hard or too lightly: {by}',
            default => 'scatter of the gauge and its last digit: {by}',
        };
    }

    /**
     * @param  list<Belief>  $beliefs
     * @param  non-empty-list<JointEnd>  $bad
     */
    private function reading(array $beliefs, array $bad): ?Say
    {
        foreach ($beliefs as $belief) {
            foreach ($bad as $end) {
                $touches = in_array($belief->surface, [$end->joint->inner, $end->joint->outer], true);
                $error = $belief->errorMm();
                if ($touches && abs($error) > self::SHARE * $end->works->width() / 2) {
                    return Say::with('At a reading of “{surface}”, off by {by}: {why}.', [
                        'surface' => $this->shop->laid->surface($belief->surface)->name ?? '',
                        'by' => LengthWriter::difference(abs($error)),
                        'why' => Say::with(self::cause((string) array_key_first($belief->why())), [
                            'by' => LengthWriter::difference(abs((float) current($belief->why()))),
                        ]),
                    ]);
                }
            }
        }

        return null;
    }

    /** @param  non-empty-list<JointEnd>  $bad */
    private function fit(array $bad): ?Say
    {
        foreach ($bad as $end) {
            foreach ($this->facts->joints as $joint) {
                if ($joint->id === $end->joint->id && $joint->purpose !== $end->joint->purpose) {
                    return Say::with('At the fit of “{joint}”: another purpose was chosen than it has.', [
                        'joint' => $joint->name,
                    ]);
                }
            }
            foreach ($this->believed->joints as $sized) {
                $wanted = $sized->joint->id === $end->joint->id ? $sized->wantedMm : null;
                $wide = $wanted !== null
                    && ($wanted->min < $end->works->min - 1e-9 || $wanted->max > $end->works->max + 1e-9);
                if ($wide) {
                    return Say::with('At the fit of “{joint}”: its limits are wider than it works within.', [
                        'joint' => $sized->joint->name,
                    ]);
                }
            }
        }

        return null;
    }

    /**
     * What does not belong to a joint that failed is not to blame.
     *
     * @param  list<SizeEnd>  $sizes
     * @param  non-empty-list<JointEnd>  $bad
     * @return list<SizeEnd>
     */
    private static function touched(array $sizes, array $bad): array
    {
        $sides = array_merge(...array_map(
            static fn (JointEnd $j): array => [$j->joint->inner, $j->joint->outer],
            $bad,
        ));

        return array_values(array_filter(
            $sizes,
            static fn (SizeEnd $s): bool => in_array($s->surface->id, $sides, true),
        ));
    }

    /** @param  list<SizeEnd>  $sizes */
    private function cut(array $sizes): ?Say
    {
        foreach ($sizes as $size) {
            $off = $size->offMm();
            if ($off !== null && $off > 0) {
                return Say::with('At the cut of “{surface}”: outside its limits by {by}.', [
                    'surface' => $size->surface->name,
                    'by' => LengthWriter::difference($off),
                ]);
            }
            if ($size->asked === null) {
                return Say::with('At “{surface}”: it was cut before there was a size for it.', [
                    'surface' => $size->surface->name,
                ]);
            }
        }

        return null;
    }

    /** @param  non-empty-list<JointEnd>  $bad */
    private function together(array $bad): Say
    {
        $unmade = array_values(array_filter($bad, static fn (JointEnd $j): bool => ! $j->made));

        return $unmade !== []
            ? Say::with('“{joint}” was not made.', ['joint' => $unmade[0]->joint->name])
            : Say::with('When “{joint}” was put together, or in what that did to it.', [
                'joint' => $bad[0]->joint->name,
            ]);
    }
}
