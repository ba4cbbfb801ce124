<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\PracticeFacts;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;

/** A practice job: a lesson of data/lessons.json about one mistake, or free practice of a kind at a level. */
final readonly class Lesson
{
    /**
     * @param  array<string, mixed>  $layout  what is laid over the kind's own: parts, surfaces, joints, take_in, loops
     * @param  array<string, mixed>  $truth  what is true of it beside what is drawn: surfaces, gauges, lathe and so on
     * @param  ?list<string>  $goal  names of the joints that count; null: all that can be judged
     */
    private function __construct(
        public string $code,
        public string $title,
        public Level $level,
        public Kind $kind,
        public Unit $unit,
        public ?Trap $trap,
        public Skill $skill,
        public string $story,
        public string $about,
        public string $saved,
        public array $layout,
        public array $truth,
        public ?array $goal,
        /** With everything that such a job may have. */
        public bool $whole,
    ) {
    }

    /** @return list<self> in the order they are learned in */
    public static function all(): array
    {
        return array_map(self::fromRow(...), Table::rows('lessons'));
    }

    /** @throws BadInput for a lesson that is not there */
    public static function named(string $code): self
    {
        foreach (self::all() as $lesson) {
            if ($lesson->code === $code) {
                return $lesson;
            }
        }
        throw new BadInput('unknown-lesson', 'lesson', "“{$code}” is no lesson here. Choose one from the list.");
    }

    /** @throws BadInput for a kind that is not there, or one that has nothing to measure */
    public static function free(string $kind, Level $level, Unit $unit): self
    {
        $of = Kind::named($kind);
        if ($kind === 'free-form') {
            throw new BadInput(
                'nothing-to-practise',
                'kind',
                'A free-form part is laid out by hand, so there is nothing behind it to practise on. Choose another.',
            );
        }

        return new self(
            code: '',
            title: $of->name,
            level: $level,
            kind: $of,
            unit: $unit,
            trap: null,
            skill: Skill::Measuring,
            story: $of->says.'.',
            about: '',
            saved: '',
            layout: [],
            truth: [],
            goal: null,
            // Their fits are with what is offered beside them.
            whole: in_array($kind, ['stepped-shaft', 'arbor', 'taper-hub'], true),
        );
    }

    /** @throws BadInput where it is of no lesson or kind that is known */
    public static function of(PracticeFacts $practice): self
    {
        return $practice->lesson !== ''
            ? self::named($practice->lesson)
            : self::free(
                $practice->kind,
                Level::tryFrom($practice->level) ?? throw new BadInput(
                    'unknown-level',
                    'level',
                    "“{$practice->level}” is no level. Take easy, fair or hard.",
                ),
                $practice->unit,
            );
    }

    /** @param  array<string, mixed>  $row */
    private static function fromRow(array $row): self
    {
        /** @var array{code: string, title: string, level: string, kind: string, unit?: string, trap: string, skill: string, story: string, about: string, saved: string, layout?: array<string, mixed>, truth?: array<string, mixed>, goal?: list<string>, whole?: bool} $row */
        return new self(
            code: $row['code'],
            title: $row['title'],
            level: Level::from($row['level']),
            kind: Kind::named($row['kind']),
            unit: Unit::from($row['unit'] ?? 'mm'),
            trap: Trap::from($row['trap']),
            skill: Skill::from($row['skill']),
            story: $row['story'],
            about: $row['about'],
            saved: $row['saved'],
            layout: $row['layout'] ?? [],
            truth: $row['truth'] ?? [],
            goal: $row['goal'] ?? null,
            whole: $row['whole'] ?? false,
        );
    }

    public function facts(int $seed): PracticeFacts
    {
        return new PracticeFacts(
            lesson: $this->code,
            kind: $this->kind->code,
            level: $this->level->value,
            seed: $seed,
            unit: $this->unit,
        );
    }

    /**
     * The job as it comes in: the same every time, so that what is true of it finds its surfaces again.
     *
     * @param  int  $seed  0 to 999,999
     */
    public function layOut(string $id, ShopFacts $shop, int $seed): JobFacts
    {
        $root = substr(hash('sha256', $id), 0, 24);
        $next = 0;
        $laid = $this->kind->layOut(
            id: $id,
            machine: PracticeFacts::MACHINE,
            part: $this->title,
            unit: $this->unit,
            shop: $shop,
            newId: static function () use ($root, &$next): string {
                return "{$root}-".++$next;
            },
            whole: $this->whole,
        );
        /** @var array<string, mixed> $array */
        $array = json_decode((string) json_encode($laid), true);
        foreach (['parts', 'surfaces', 'joints', 'loops'] as $list) {
            /** @var array<string, array<string, mixed>> $over */
            $over = is_array($this->layout[$list] ?? null) ? $this->layout[$list] : [];
            $array[$list] = array_map(
                static fn (array $thing): array => [...$thing, ...($over[$thing['name']] ?? [])],
                is_array($array[$list]) ? $array[$list] : [],
            );
        }
        if ($this->trap === null) {
            /** @var list<array<string, mixed>> $parts */
            $parts = $array['parts'];
            $array['parts'] = array_map(
                fn (array $part): array => [
                    ...$part,
                    'material' => $part['material'] ?? Metals::told($laid, (string) $part['id'], $this->level, $seed),
                ],
                $parts,
            );
        }
        if ($this->trap === null) {
            /** @var list<array<string, mixed>> $surfaces */
            $surfaces = $array['surfaces'];
            $array['surfaces'] = array_map(fn (array $s): array => $this->drawn($laid, $s, $seed), $surfaces);
        }
        $takeIn = is_array($this->layout['take_in'] ?? null) ? $this->layout['take_in'] : [];
        $array['take_in'] = [
            ...(array) $array['take_in'],
            'failed' => 'worn',
            'gates_answered' => true,
            ...$takeIn,
        ];
        $array['shop'] = [...(array) $array['shop'], 'temperature_c' => Drawn::roomC($this, $seed)];
        $array['practice'] = $this->facts($seed)->jsonSerialize();

        return JobFacts::fromArray($array);
    }

    /**
     * What has no mate comes from a drawing: its size, and a tenth of a millimetre either way.
     *
     * @param  array<string, mixed>  $surface
     * @return array<string, mixed>
     */
    private function drawn(JobFacts $laid, array $surface, int $seed): array
    {
        $facts = $laid->surface(is_string($surface['id']) ? $surface['id'] : '');
        $sketch = $facts->sketch->size ?? 0.0;
        $mated = array_filter(
            $laid->joints,
            static fn (JointFacts $j): bool => in_array($surface['id'], [$j->inner, $j->outer], true),
        );
        if ($facts === null || $sketch <= 0 || $mated !== [] || ! $facts->type->isSized() || ! $laid->isCut($facts)) {
            return $surface;
        }
        $mm = Drawn::nominalMm($sketch, Drawn::scale($this, $seed), $this->unit);
        $inch = $this->unit === Unit::Inch;
        $typed = static fn (float $mm, int $places): array => [
            'typed' => rtrim(rtrim(number_format($inch ? $mm / 25.4 : $mm, $places, '.', ''), '0'), '.'),
            'unit' => $inch ? 'in' : 'mm',
        ];
        $give = $inch ? $typed(0.127, 3) : $typed(0.1, 1);

        return [
            ...$surface,
            'size' => $typed($mm, 4),
            'source' => 'drawing',
            'demand' => ['kind' => 'limits', 'plus' => $give, 'minus' => $give, 'class' => null],
        ];
    }
}
