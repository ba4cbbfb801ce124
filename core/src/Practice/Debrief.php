<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Evaluator;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Quantity\LengthWriter;

/** The truth beside what one believed: what came out, where it went wrong first, what would have saved it. */
final readonly class Debrief implements \JsonSerializable
{
    /**
     * @param  list<JointEnd>  $joints
     * @param  list<LoopEnd>  $loops
     * @param  list<SizeEnd>  $sizes
     * @param  list<Belief>  $beliefs
     * @param  list<Score>  $scores
     */
    private function __construct(
        public Lesson $lesson,
        public Workshop $shop,
        public bool $good,
        public Say $verdict,
        public array $joints,
        public array $loops,
        public array $sizes,
        public array $beliefs,
        public ?Say $first,
        public ?bool $fell,
        public array $scores,
    ) {
    }

    /** @param  JobFacts  $facts  as the job stands when it is over */
    public static function of(Lesson $lesson, Workshop $shop, JobFacts $facts): self
    {
        $true = TrueJob::outcome($shop->laid, $shop->truth);
        $believed = (new Evaluator())->outcome($facts);
        $joints = self::joints($lesson, $shop, $true);
        $beliefs = Belief::all($facts, $shop->deeds(), $shop->truth->roomC);
        $sizes = SizeEnd::all($shop, $believed, $true);
        $fell = $lesson->trap === null ? null : (new Trapped($shop, $facts, $joints))->in($lesson->trap);
        $declined = array_filter($shop->deeds(), static fn (Deed $d): bool => $d->kind === DeedKind::Decline) !== [];
        $toDecline = $lesson->trap === Trap::ToDecline;
        $loops = $lesson->goal === null ? self::loops($shop) : [];
        $works = array_filter([...$joints, ...$loops], static fn (JointEnd|LoopEnd $e): bool => ! $e->isGood()) === []
            && ($joints !== [] || self::withoutJoints($lesson, $fell, $sizes));
        $good = $declined ? $toDecline : $works && ! $toDecline && $fell !== true;
        $first = $declined ? null : (new FirstWrong($shop, $facts, $believed))->of($beliefs, $joints, $sizes);

        return new self(
            lesson: $lesson,
            shop: $shop,
            good: $good,
            verdict: self::verdict($declined, $toDecline, $works, $fell, $lesson),
            joints: $joints,
            loops: $loops,
            sizes: $sizes,
            beliefs: $beliefs,
            first: $first,
            fell: $fell,
            scores: (new Marks($shop, $believed, $lesson))->of($joints, $sizes, $beliefs, $fell, $declined),
        );
    }

    /**
     * A lesson without joints is about what was seen in time; free practice without any, about the sizes.
     *
     * @param  list<SizeEnd>  $sizes
     */
    private static function withoutJoints(Lesson $lesson, ?bool $fell, array $sizes): bool
    {
        if ($lesson->trap !== null) {
            return $fell === false;
        }
        $asked = array_filter($sizes, static fn (SizeEnd $s): bool => $s->asked !== null);

        return $asked !== [] && array_filter($asked, static fn (SizeEnd $s): bool => $s->offMm() > 1e-9) === [];
    }

    /** @return list<LoopEnd> */
    public static function loops(Workshop $shop): array
    {
        return array_values(array_filter(array_map(
            static fn (LoopFacts $loop): ?LoopEnd => LoopEnd::of($loop, $shop),
            $shop->laid->loops,
        )));
    }

    /** @return list<JointEnd> those that count */
    public static function joints(Lesson $lesson, Workshop $shop, Outcome $true): array
    {
        $ends = [];
        foreach ($shop->laid->joints as $joint) {
            $end = $lesson->goal === null || in_array($joint->name, $lesson->goal, true)
                ? JointEnd::of($joint, $shop, $true)
                : null;
            if ($end !== null) {
                $ends[] = $end;
            }
        }

        return $ends;
    }

    private static function verdict(bool $declined, bool $toDecline, bool $works, ?bool $fell, Lesson $lesson): Say
    {
        return Say::plain(match (true) {
            $declined && $toDecline => 'Refused, and rightly.',
            $declined => 'Refused. It could have been done.',
            $toDecline => 'Taken, though it should have been refused.',
            $works && $fell === true => 'It works this time, by luck: the mistake was made.',
            $works => 'It goes together and does its work.',
            default => 'It does not do its work.',
        });
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'good' => $this->good,
            'verdict' => $this->verdict,
            'title' => $this->lesson->title,
            'about' => $this->lesson->about,
            'trap' => $this->lesson->trap === null || $this->fell === null ? null : [
                'fell' => $this->fell,
                'says' => $this->fell ? $this->lesson->trap->fell() : $this->lesson->trap->avoided(),
            ],
            'saved' => $this->lesson->saved,
            'first' => $this->first,
            'joints' => $this->joints,
            'loops' => $this->loops,
            'sizes' => $this->sizes,
            'readings' => array_map($this->told(...), $this->beliefs),
            'scores' => $this->scores,
            'minutes' => $this->shop->minutes(),
        ];
    }

    /** @return array<string, mixed> a reading beside the truth */
    private function told(Belief $belief): array
    {
        $surface = $this->shop->laid->surface($belief->surface);
        $why = $belief->why();

        return [
            'id' => $belief->deed->id,
            'surface' => $surface->name ?? '',
            'instrument' => $this->shop->laid->shop->instruments->has($belief->instrument)
                ? $this->shop->laid->shop->instruments->named($belief->instrument)->name
                : $belief->instrument,
            'station' => $belief->station,
            'angle' => $belief->angle,
            'typed_mm' => $belief->believedMm(),
            'true_mm' => $belief->trueMm(),
            'error_mm' => $belief->errorMm(),
            'why' => array_map(
                static fn (string $cause, float $mm): array => ['cause' => $cause, 'says' => Say::with(
                    FirstWrong::cause($cause),
                    ['by' => LengthWriter::difference(abs($mm))],
                ), 'mm' => $mm],
                array_keys($why),
                $why,
            ),
        ];
    }
}
