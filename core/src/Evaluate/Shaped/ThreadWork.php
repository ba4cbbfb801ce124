<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Facts\Condition;
use Oldpart\Core\Facts\Hand;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Picture\ThreadPicture;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;
use Oldpart\Core\Thread\TapDrill;
use Oldpart\Core\Thread\Thread;
use Oldpart\Core\Thread\ThreadLikely;
use Oldpart\Core\Thread\ThreadLimits;
use Oldpart\Core\Thread\ThreadTools;
use Oldpart\Core\Thread\ThreeWires;

/** A thread: which it is, the drill or blank before it, how it is cut, how it is gauged. */
final readonly class ThreadWork
{
    /** A share of a full thread that holds nearly all and taps easily. Common practice. */
    private const SHARE = 70.0;

    /** What a tap leaves unfinished at the bottom, pitches: a taper, a second, a bottoming tap. Common practice. */
    private const LEADS = ['taper tap' => 8, 'second tap' => 4, 'bottoming tap' => 2];

    /** @var list<ShapeCandidate> what it may be by what was read of it or its mate, likeliest first */
    private array $candidates;

    public function __construct(private ShapeCase $case)
    {
        $odds = $this->odds($case->surface) ?: ($case->mate === null ? [] : $this->odds($case->mate));
        $this->candidates = array_map(
            static fn (array $c): ShapeCandidate => new ShapeCandidate($c['label'], $c['family'], $c['probability']),
            array_values(array_filter($odds, static fn (array $c): bool => $c['major_mm'] !== null)),
        );
    }

    public function surface(): ShapedSurface
    {
        try {
            $thread = $this->thread();
        } catch (BadInput $bad) {
            return new ShapedSurface(
                surface: $this->case->surface,
                isCut: $this->case->isCut,
                is: null,
                missing: Say::plain($bad->getMessage()),
                candidates: $this->candidates,
            );
        }
        if ($thread === null) {
            return new ShapedSurface(
                surface: $this->case->surface,
                isCut: $this->case->isCut,
                is: null,
                missing: Say::plain($this->wants()),
                candidates: $this->candidates,
            );
        }

        if ($thread->isTapered()) {
            return new ShapedSurface(
                surface: $this->case->surface,
                isCut: $this->case->isCut,
                is: $this->is($thread),
                missing: Say::plain('A taper pipe thread has no one size: drill what is stamped on its tap, cut it to its gauge or its mate, and try it with the sealant off.'),
                candidates: $this->candidates,
                notes: $this->notes($thread),
            );
        }

        return $this->isInside() ? $this->hole($thread) : $this->screw($thread);
    }

    private function isInside(): bool
    {
        return $this->case->surface->type === SurfaceType::ThreadInside;
    }

    private function wants(): string
    {
        $inside = $this->isInside() ? 'hole inside its threads' : 'outside';

        return "Read its {$inside} and its pitch (over five or ten threads, or type it at Survey); or type what it is there, as M10 or 1/2 BSW."
            .($this->case->isCut && $this->case->mate !== null ? ' What is known of its mate counts too.' : '');
    }

    /** @return list<array{label: string, family: string, major_mm: ?float, pitch_mm: ?float, angle_deg: ?float, probability: float}> */
    private function odds(SurfaceFacts $surface): array
    {
        $size = $this->case->sizes->of($surface);
        $pitch = $this->pitch($surface);
        try {
            return $size === null || $pitch === null
                ? []
                : ThreadLikely::of(
                    sizeMm: $size->mm,
                    pitchMm: $pitch,
                    u95Mm: $size->u95Mm,
                    inside: $surface->type === SurfaceType::ThreadInside && $size->isRead,
                );
        } catch (BadInput) {
            return [];
        }
    }

    private function pitch(SurfaceFacts $surface): ?float
    {
        $over = static fn (?KnownSize $size, int $n): ?float => $size === null ? null : $size->mm / $n;

        return $over($this->case->sizes->of($surface, 'over-10'), 10)
            ?? $over($this->case->sizes->of($surface, 'over-5'), 5)
            ?? $this->case->sizes->of($surface, 'pitch')?->mm;
    }

    private function thread(): ?Thread
    {
        $said = $this->case->shape();
        $left = $this->case->surface->hand === Hand::Left || $this->case->mate?->hand === Hand::Left;
        $label = $said ?? ($this->candidates[0]->label ?? null);

        return $label === null ? null : Thread::named($left ? "{$label} left" : $label);
    }

    private function is(Thread $thread): Say
    {
        $first = $this->candidates[0] ?? null;

        return Say::plain(
            $this->case->shape() !== null || $first === null
                ? $thread->called()
                : $thread->label.' most likely, '.floor(100 * ($first->chance ?? 0.0)).' of 100'
                    .($thread->left ? ', LEFT HAND' : ''),
        );
    }

    /** @return list<Note> */
    private function notes(Thread $thread): array
    {
        $notes = [];
        if ($thread->left) {
            $notes[] = Note::caution('left-hand', 'Left hand: left-hand tap or die, and the lead screw runs the other way.');
        }
        $first = $this->candidates[0] ?? null;
        if ($this->case->shape() === null && $first !== null && ($first->chance ?? 1.0) < 0.9) {
            $notes[] = Note::caution(
                'thread-unsure',
                'More than one thread fits what was read. Try a known screw or nut of the likeliest, or lay a pitch gauge on it, before you cut; then tap which it is.',
            );
        }
        $size = $this->case->sizes->of($this->case->surface);
        if (! $this->case->isCut && $size !== null && $size->isRead && ! $this->isInside()) {
            $under = $thread->majorMm - $size->mm;
            if ($under > 0.12 * $thread->pitchMm + $size->u95Mm) {
                $notes[] = Note::caution(
                    'thread-worn',
                    Say::with('It reads {d} under its outside: worn, stretched or cut shallow. Try a nut along all of it.', [
                        'd' => LengthWriter::difference($under),
                    ]),
                );
            }
        }
        if ($thread->remark() !== '') {
            $notes[] = Note::info('thread-family', $thread->remark());
        }
        if ($this->case->isCut) {
            $notes = [...$notes, ...$this->tools($thread)];
        }
        if (ThreadLimits::of($thread) === null) {
            $notes[] = Note::info(
                'thread-to-mate',
                'No limits for this family here: cut it until its mate goes on by hand without shake.',
            );
        }

        return $notes;
    }

    /** @return list<Note> whether the drawer has the tap or die; nothing where nobody said what is in it */
    private function tools(Thread $thread): array
    {
        $shop = $this->case->sizes->facts->shop;
        $tool = $this->isInside() ? 'tap' : 'die';
        try {
            $drawer = ThreadTools::read($this->isInside() ? $shop->taps : $shop->dies, "{$tool}s");
        } catch (BadInput) {
            return [];
        }

        return match (true) {
            ! $drawer->isSaid => [],
            $drawer->has($thread) => [Note::info('tool-there', "The {$tool} for it is in the drawer.")],
            default => [Note::caution(
                'no-tool',
                "There is no {$tool} for {$thread->label} in the drawer: buy one, or cut it in the lathe with a single point.",
            )],
        };
    }

    private function hole(Thread $thread): ShapedSurface
    {
        $limits = ThreadLimits::of($thread);
        $tap = TapDrill::of($thread->majorMm, $thread->pitchMm, $thread->form);
        $band = $limits?->nutMinor;
        $drills = $tap->inside($band, self::SHARE, 3);
        $numbers = [ShapeNumber::within(
            $this->case->isCut ? 'Hole before tapping' : 'Inside, new',
            $band ?? self::aroundDrill($tap),
        )];
        foreach ($drills as $drill) {
            $numbers[] = ShapeNumber::said(
                "Drill {$drill['label']}",
                Say::with('{s}, '.round($drill['percent']).' of 100', ['s' => LengthWriter::size($drill['mm'])]),
            );
        }
        $deep = $this->deep();
        $times = LinkEnds::engaged($this->case, true);
        $numbers[] = ShapeNumber::said(
            "Engaged at least, {$times} × outside",
            LengthWriter::size($times * $thread->majorMm),
        );
        array_push($numbers, ...LinkEnds::of($this->case, $thread, $times));
        $sets = [Say::plain("Centre, drill {$drills[0]['label']}, countersink to just over the thread’s outside.")];
        $sets[] = $deep === null
            ? Say::plain('Through, or deeper than the thread by the lead of the tap: 8 pitches for a taper tap, 4 for a second, 2 for a bottoming one.')
            : Say::with('Blind: drill {t} deep for {d} of full thread with a second tap, {b} with a bottoming one; the drill’s point comes on top.', [
                'd' => LengthWriter::size($deep),
                't' => LengthWriter::size($deep + self::LEADS['second tap'] * $thread->pitchMm),
                'b' => LengthWriter::size($deep + self::LEADS['bottoming tap'] * $thread->pitchMm),
            ]);
        $sets[] = Say::plain('Tap square: start it in the tailstock or a guide, back off every half turn, oil it (cast iron and brass dry).');
        $notes = [...$this->notes($thread), ...TapDrill::notes($drills[0]['percent'])];
        if ($this->case->surface->condition === Condition::Damaged || $this->case->surface->work !== null) {
            array_push($notes, ...$this->ladder($thread));
        }

        return $this->made(
            $thread,
            $band ?? self::aroundDrill($tap),
            $numbers,
            $sets,
            [
                Say::plain('Its screw, or a go gauge, goes in all the way by hand and does not rock.'),
                ...$limits === null
                    ? []
                    : [Say::plain("Within its limits ({$limits->nutClass}) a no-go gauge goes no further than two turns.")],
            ],
            $notes,
            $limits,
        );
    }

    /** @return array{float, bool} the wire that was read where it touches the flanks, else the best one */
    private function wire(ThreeWires $wires): array
    {
        $own = $this->case->of('wire')?->mm;
        try {
            return $own === null || $wires->overMm($own) <= 0 ? [$wires->bestWireMm(), false] : [$own, true];
        } catch (BadInput) {
            return [$wires->bestWireMm(), false];
        }
    }

    private function screw(Thread $thread): ShapedSurface
    {
        $limits = ThreadLimits::of($thread);
        $wires = ThreeWires::of($thread->majorMm, $thread->pitchMm, $thread->form);
        $band = $limits->screwMajor
            ?? new Band($thread->majorMm - 0.05 - 0.05 * $thread->pitchMm, $thread->majorMm);
        [$wire, $fits] = $this->wire($wires);
        $numbers = [ShapeNumber::within($this->case->isCut ? 'Turn to, before threading' : 'Outside, new', $band)];
        if ($limits?->screwPitch !== null) {
            $numbers[] = ShapeNumber::within(
                'Over three wires',
                new Band(
                    $wires->overMm($wire, $limits->screwPitch->lowerMm),
                    $wires->overMm($wire, $limits->screwPitch->upperMm),
                ),
                'over-wires',
            );
        } else {
            $numbers[] = ShapeNumber::said(
                'Over three wires, at most',
                LengthWriter::size($wires->overMm($wire)),
            );
        }
        $numbers[] = ShapeNumber::said(
            'Wire',
            Say::with($fits ? '{w}, yours' : '{w}, best', ['w' => LengthWriter::size($wire)]),
        );
        $numbers[] = ShapeNumber::said(
            'Pitch',
            Say::with('{p}, '.self::perInch($thread).' per inch', ['p' => LengthWriter::size($thread->pitchMm)]),
        );
        $numbers[] = ShapeNumber::size('Deep, straight in', $thread->depthMm());
        array_push($numbers, ...LinkEnds::of($this->case, $thread, LinkEnds::engaged($this->case, false)));
        $sets = [
            Say::with('Set the gears for {p} ('.self::perInch($thread).' per inch)'.($thread->left ? ', LEFT HAND, away from the chuck' : '').'.', [
                'p' => LengthWriter::size($thread->pitchMm),
            ]),
            Say::with('Run-out groove at a shoulder: {w} wide, {d} deep from the outside.', [
                'w' => LengthWriter::size(2.5 * $thread->pitchMm),
                'd' => LengthWriter::size($thread->depthMm() + 0.1 * $thread->pitchMm),
            ]),
            Say::with('Touch off on the turned outside; in all {d} in per side straight, or {c} with the compound at '.$thread->form->compoundDeg().'°.', [
                'd' => LengthWriter::size($thread->depthMm()),
                'c' => LengthWriter::size($thread->depthMm() / cos(deg2rad($thread->form->compoundDeg()))),
            ]),
        ];
        $checks = [
            Say::plain('The mate, or a known nut, goes on over all of it by hand without shake.'),
            ...$limits?->screwPitch === null
                ? []
                : [
                    Say::with('Class '.$limits->screwClass.': over wires of {w} it reads within the limits above.', [
                        'w' => LengthWriter::size($wire),
                    ]),
                ],
        ];

        return $this->made(
            $thread,
            $band,
            $numbers,
            $sets,
            $checks,
            $this->notes($thread),
            $limits,
        );
    }

    /**
     * @param  list<ShapeNumber>  $numbers
     * @param  list<Say>  $sets
     * @param  list<Say>  $checks
     * @param  list<Note>  $notes
     */
    private function made(
        Thread $thread,
        Band $band,
        array $numbers,
        array $sets,
        array $checks,
        array $notes,
        ?ThreadLimits $limits,
    ): ShapedSurface {
        $cut = $this->case->isCut;

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $cut,
            is: $this->is($thread),
            candidates: $this->candidates,
            band: $cut ? $band : null,
            because: Say::plain(
                match (true) {
                    trim($this->case->surface->shape ?? '') !== '' => 'As typed.',
                    $this->case->shape() !== null => 'As its mate is said to be.',
                    default => 'As it was read.',
                },
            ),
            numbers: $numbers,
            sets: $cut ? $sets : [],
            checks: $cut ? $checks : [],
            notes: $notes,
            picture: ThreadPicture::draw($thread, $this->isInside(), $numbers[0]->says),
            working: [
                new WorkingStep(
                    'Limits',
                    $limits === null ? 'outside and pitch of its family; cut to the mate' : $limits->source,
                    Say::with('{l}: outside {d}, pitch {p}', [
                        'l' => $thread->label,
                        'd' => LengthWriter::size($thread->majorMm),
                        'p' => LengthWriter::size($thread->pitchMm),
                    ]),
                    $limits === null ? 'the standard of its family' : $limits->source,
                ),
            ],
        );
    }

    /** @return list<Note> what to do with a hole whose thread is gone */
    private function ladder(Thread $thread): array
    {
        $notes = [];
        $next = $thread->next();
        $wall = $this->case->sizes->round($this->case->surface, SurfaceType::Shaft)?->mm;
        if ($next !== null) {
            $drill = TapDrill::of($next->majorMm, $next->pitchMm, $next->form);
            $near = $drill->inside(ThreadLimits::of($next)?->nutMinor, self::SHARE, 1)[0];
            $left = $wall === null ? null : ($wall - $next->majorMm) / 2;
            $notes[] = Note::info(
                'thread-next',
                Say::with(
                    "Stripped: the next size is {$next->label}, tap drill {$near['label']}"
                        .(
                            $left === null ? '.' : ', and leaves {w} of wall'.(
                                $left < 0.25 * $next->majorMm
                                    ? ', too little: a quarter of its outside is wanted.'
                                    : '.'
                            )
                        )
                        .' The hole in what it holds down has to grow with it.',
                    ['w' => LengthWriter::difference(max(0.0, $left ?? 0.0))],
                ),
            );
        }
        $notes[] = Note::info(
            'thread-insert',
            Say::with(
                'Or keep '.$thread->label.': a wire insert takes a hole of about {d} and its own tap of the same pitch, outside about {o}; a bush threaded inside takes twice the thread’s outside.',
                [
                    'd' => LengthWriter::size($thread->majorMm + 0.25 * $thread->pitchMm),
                    'o' => LengthWriter::size($thread->majorMm + 1.3 * $thread->pitchMm),
                ],
            ),
        );

        return $notes;
    }

    private function deep(): ?float
    {
        return $this->case->surface->long->length->mm ?? null;
    }

    private static function aroundDrill(TapDrill $tap): Band
    {
        return new Band($tap->drillMm(80.0), $tap->drillMm(60.0));
    }

    private static function perInch(Thread $thread): string
    {
        return rtrim(rtrim(number_format(25.4 / $thread->pitchMm, 2), '0'), '.');
    }
}
