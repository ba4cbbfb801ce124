<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Joint\Roughness;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;
use Oldpart\Core\Shape\Dimension;
use Oldpart\Core\Shape\SurfaceType;

/**
 * A surface of a part: what it is and does, where it is to be read, its sizes as noted until it is measured, and a
 * sketch to draw it by until anything is known.
 *
 * What the sizes mean: `size` is the diameter, width, length or radius (a taper's where it begins, a hole pattern's
 * circle, a thread's major diameter); `size2` the second one (a taper's at its far end, a pattern's hole, the depth of
 * a groove or keyway); `at` where it begins, from the part's left face; `long` how far it runs; `x`, `y` its centre on
 * a plate.
 */
final readonly class SurfaceFacts implements \JsonSerializable
{
    /** The place at which a taper's own size is read; its far end is a dimension. */
    public const TAPER_BEGINS = 'where it begins';

    /** How its size is read. */
    public SurfaceKind $kind;

    public function __construct(
        public string $id,
        public string $part,
        public string $name,
        public SurfaceType $type,
        public ?Role $role,
        /** @var list<string> places along it; empty: as its criticality asks */
        public array $stations,
        /** @var list<string> ways round it, degrees; empty: as its criticality asks */
        public array $angles,
        public Criticality $criticality,
        public ?Condition $condition,
        public bool $datum,
        public ?TypedLength $size,
        public ?TypedLength $size2,
        public ?TypedLength $at,
        public ?TypedLength $long,
        public ?TypedLength $x,
        public ?TypedLength $y,
        public ?TypedLength $pitch,
        public ?int $count,
        public ?Hand $hand,
        public ?float $angleDeg,
        public ?SizeSource $source,
        public ?SketchFacts $sketch,
        /**
         * How it is finished, by its code in data/finishes.json; and its roughness Rz in µm where that was measured.
         */
        public ?string $finish = null,
        public ?float $rzUm = null,
        /** What is asked of it for itself, where it is cut. */
        public ?DemandFacts $demand = null,
        /** What is done to it where its part is there already; null: it stays. */
        public ?Work $work = null,
        /** How sure a size is that was typed without being measured: ±. */
        public ?TypedLength $sure = null,
        /** What a shape is, or is to be, as the trade writes it: M10, 1:10, 8 × 7, module 2. */
        public ?string $shape = null,
        /**
         * What was done to it or is to be, by its code in data/treatments.json; its own hardness where that was
         * taken.
         */
        public ?string $treated = null,
        public ?HardnessFacts $hardness = null,
        /** Another surface that its centre lies with: one number moves both; null: its own x and y count. */
        public ?string $centredOn = null,
        /** It stands for one of the dimensions of a shape, to be read like a surface of its own. */
        public ?Dimension $dimension = null,
    ) {
        $this->kind = $dimension->kind ?? $type->measuredAs();
    }

    /** One of its dimensions, to be read like a surface of its own. */
    public function dimension(Dimension $dimension): self
    {
        return new self(
            id: $this->id,
            part: $this->part,
            name: "{$this->name}: ".lcfirst($dimension->label),
            type: $this->type,
            role: $this->role,
            stations: ['1'],
            angles: ['0'],
            criticality: $this->criticality,
            condition: $this->condition,
            datum: false,
            size: null,
            size2: null,
            at: null,
            long: null,
            x: null,
            y: null,
            pitch: null,
            count: null,
            hand: null,
            angleDeg: null,
            source: null,
            sketch: null,
            work: $this->work,
            dimension: $dimension,
        );
    }

    /** The same surface, to be of another size. */
    public function sized(TypedLength $size): self
    {
        /** @var array<string, mixed> $same */
        $same = json_decode((string) json_encode($this), true);

        return self::read(new Fields([...$same, 'size' => $size->jsonSerialize()]));
    }

    /** The same surface, its centre where another's lies. */
    public function placedAs(self $leader): self
    {
        /** @var array<string, mixed> $same */
        $same = json_decode((string) json_encode($this), true);
        $sketch = $this->sketch === null && $leader->sketch === null ? null : [
            ...(array) $same['sketch'],
            'x' => $leader->sketch?->x,
            'y' => $leader->sketch?->y,
        ];

        return self::read(new Fields([
            ...$same,
            'x' => $leader->x?->jsonSerialize(),
            'y' => $leader->y?->jsonSerialize(),
            'sketch' => $sketch,
        ]));
    }

    /** What its readings and what was found of it go by. */
    public function key(): string
    {
        return $this->dimension === null ? $this->id : "{$this->id}/{$this->dimension->code}";
    }

    public static function read(Fields $f): self
    {
        $count = $f->numberOrNull('count');
        if ($count !== null && ($count < 1 || $count > 1000 || $count !== floor($count))) {
            throw $f->bad('count', 'must be a whole number from 1 to 1000.');
        }

        return new self(
            id: $f->text('id'),
            part: $f->text('part'),
            name: $f->text('name'),
            type: $f->choice('kind', SurfaceType::class),
            role: $f->choiceOrNull('role', Role::class),
            stations: $f->texts('stations'),
            angles: $f->texts('angles'),
            criticality: $f->choiceOrNull('criticality', Criticality::class) ?? Criticality::Fit,
            condition: $f->choiceOrNull('condition', Condition::class),
            datum: $f->flag('datum'),
            size: $f->lengthOrNull('size'),
            size2: $f->lengthOrNull('size2'),
            at: $f->lengthOrNull('at', true),
            long: $f->lengthOrNull('long'),
            x: $f->lengthOrNull('x', true),
            y: $f->lengthOrNull('y', true),
            pitch: $f->lengthOrNull('pitch'),
            count: $count === null ? null : (int) $count,
            hand: $f->choiceOrNull('hand', Hand::class),
            angleDeg: $f->numberOrNull('angle_deg'),
            source: $f->choiceOrNull('source', SizeSource::class),
            sketch: ($sketch = $f->object('sketch')) === null ? null : SketchFacts::read($sketch),
            finish: $f->textOrNull('finish'),
            rzUm: $f->numberOrNull('rz_um'),
            demand: ($demand = $f->object('demand')) === null ? null : DemandFacts::read($demand),
            work: $f->choiceOrNull('work', Work::class),
            sure: $f->lengthOrNull('sure'),
            shape: $f->textOrNull('shape'),
            treated: $f->textOrNull('treated'),
            hardness: ($hardness = $f->object('hardness')) === null ? null : HardnessFacts::read($hardness),
            centredOn: $f->textOrNull('centred_on'),
        );
    }

    /** As metal comes off it grows, as a bore does; or it shrinks. */
    public function grows(): bool
    {
        return $this->kind === SurfaceKind::Bore || $this->type->isSlot();
    }

    /** How it changes as it is cut. */
    public function cutAs(): SurfaceKind
    {
        return $this->grows() ? SurfaceKind::Bore : $this->kind;
    }

    /** As measured, as its finish is, or as such surfaces mostly are. */
    public function roughness(): Roughness
    {
        return match (true) {
            $this->rzUm !== null => Roughness::measured($this->rzUm),
            $this->finish !== null => Roughness::of($this->finish),
            $this->treated === 'ground' => Roughness::of('ground'),
            default => Roughness::assumed($this->kind === SurfaceKind::Bore),
        };
    }

    /** @return list<string> */
    public function stationsAsked(): array
    {
        return match (true) {
            $this->stations !== [] => $this->stations,
            // Elsewhere it has another size.
            $this->type->isTaper() => [self::TAPER_BEGINS],
            default => $this->criticality->stations($this->kind),
        };
    }

    /** @return list<string> */
    public function anglesAsked(): array
    {
        return $this->angles === [] ? $this->criticality->angles($this->kind) : $this->angles;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'part' => $this->part,
            'name' => $this->name,
            'kind' => $this->type->value,
            'role' => $this->role?->value,
            'stations' => $this->stations,
            'angles' => $this->angles,
            'criticality' => $this->criticality->value,
            'condition' => $this->condition?->value,
            'datum' => $this->datum,
            'size' => $this->size,
            'size2' => $this->size2,
            'at' => $this->at,
            'long' => $this->long,
            'x' => $this->x,
            'y' => $this->y,
            'pitch' => $this->pitch,
            'count' => $this->count,
            'hand' => $this->hand?->value,
            'angle_deg' => $this->angleDeg,
            'finish' => $this->finish,
            'rz_um' => $this->rzUm,
            'demand' => $this->demand,
            'work' => $this->work?->value,
            'sure' => $this->sure,
            'shape' => $this->shape,
            'treated' => $this->treated,
            'hardness' => $this->hardness,
            'centred_on' => $this->centredOn,
            'source' => $this->source?->value,
            'sketch' => $this->sketch,
        ];
    }
}
