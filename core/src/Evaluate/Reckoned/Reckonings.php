<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Reckoned;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReckoningFacts;
use Oldpart\Core\Facts\RoundFacts;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\TypedLength;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Sum\Sum;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Sum\Typed;
use Oldpart\Core\Sum\Words;

/** The sums of a job, one after the other: each takes sizes of the job, and may give sizes to the ones that follow. */
final class Reckonings
{
    /** @var array<string, float> by surface, mm */
    private array $sizes;

    /** @var array<string, TypedLength> by surface: the size it is given */
    private array $given = [];

    /** @var list<Reckoned> */
    public readonly array $all;

    /** @param  array<string, float>  $sizesMm  by surface: what it is, or is to be */
    public function __construct(private readonly JobFacts $facts, array $sizesMm, private readonly bool $withheld)
    {
        $this->sizes = $sizesMm;
        $all = [];
        foreach ($facts->reckonings as $reckoning) {
            $all[] = $this->one($reckoning);
        }
        $this->all = $all;
    }

    /** The job with the sizes that its sums give to its surfaces. */
    public function applied(): JobFacts
    {
        if ($this->given === []) {
            return $this->facts;
        }
        $surfaces = [];
        foreach ($this->facts->surfaces as $surface) {
            $size = $this->given[$surface->id] ?? null;
            $surfaces[] = $size === null ? $surface : $surface->sized($size);
        }

        return $this->facts->with(surfaces: $surfaces);
    }

    /** @return array<string, string> by surface: the name of the sum that gives its size */
    public function givers(): array
    {
        $givers = [];
        foreach ($this->facts->reckonings as $reckoning) {
            foreach ($reckoning->gives as $surface) {
                if (isset($this->given[$surface])) {
                    $givers[$surface] = $reckoning->name;
                }
            }
        }

        return $givers;
    }

    private function one(ReckoningFacts $reckoning): Reckoned
    {
        $taken = [];
        foreach ($reckoning->from as $field => $from) {
            $mm = $this->taken($from);
            $surface = ReckoningFacts::surfaceOf($from);
            $taken[$field] = [
                'surface' => $surface,
                'name' => ($this->facts->surface($surface)->name ?? $surface).match (substr($from, strlen($surface))) {
                    ReckoningFacts::ACROSS => ', across',
                    ReckoningFacts::UP => ', up',
                    default => '',
                },
                'says' => $mm === null || $this->withheld ? null : LengthWriter::sizeInWords($mm),
            ];
        }
        foreach ($this->ofTheShop($reckoning) as $field => [$machine, $mm]) {
            $taken[$field] = ['surface' => '', 'name' => $machine, 'says' => LengthWriter::sizeInWords($mm)];
        }
        $rounds = array_map(
            fn (RoundFacts $r): array => [
                'at' => $r->at,
                'note' => $r->note,
                ...self::short($this->run($reckoning, $r->given)),
            ],
            $reckoning->rounds,
        );
        $now = $this->withheld
            ? ['result' => null, 'refused' => ['field' => '', 'message' => Gatekeeper::sentence()->both]]
            : $this->run($reckoning, $reckoning->given);
        $reckoned = new Reckoned($reckoning, $now['result'], $now['refused'], $taken, $this->withheld ? [] : $rounds);
        foreach ($reckoning->gives as $path => $surface) {
            $mm = $reckoned->lengthMm($path);
            if ($mm !== null && $mm > 0) {
                $this->given[$surface] = LengthReader::read(sprintf('%.6f', $mm), Unit::Millimetre);
                $this->sizes[$surface] = $mm;
            }
        }

        return $reckoned;
    }

    /** What one of `from` stands for: a size, or a place; a centre of which nothing is said across or up lies on it. */
    private function taken(string $from): ?float
    {
        $surface = $this->facts->surface(ReckoningFacts::surfaceOf($from));
        $isPlaced = $surface?->x !== null || $surface?->y !== null;

        return match (true) {
            str_ends_with($from, ReckoningFacts::ACROSS) => $isPlaced ? $surface->x->length->mm ?? 0.0 : null,
            str_ends_with($from, ReckoningFacts::UP) => $isPlaced ? $surface->y->length->mm ?? 0.0 : null,
            default => $this->sizes[$from] ?? null,
        };
    }

    /**
     * What a machine of the shop knows and nobody typed: of the first that says it.
     *
     * @return array<string, array{string, float}> by field: the machine's name, and mm
     */
    private function ofTheShop(ReckoningFacts $reckoning): array
    {
        $known = [];
        foreach (Words::shop($reckoning->sum) as $field => $figure) {
            if (trim($reckoning->given[$field] ?? '') !== '' || isset($reckoning->from[$field])) {
                continue;
            }
            [$kind, $name] = explode('.', $figure);
            foreach ($this->facts->shop->machinesOf($kind) as $machine) {
                $mm = $machine->figure($name);
                if ($mm !== null && ! isset($known[$field])) {
                    $known[$field] = [$machine->name, $mm];
                }
            }
        }

        return $known;
    }

    /**
     * Where it is the outline of a part: the part's own holes, unless others were typed.
     *
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private function withHoles(ReckoningFacts $reckoning, Sum $sum, array $in): array
    {
        $part = $reckoning->gives[ReckoningFacts::OUTLINE] ?? null;
        if ($part === null || isset($in['holes']) || ! in_array('holes', $sum->takes(), true)) {
            return $in;
        }
        $holes = [];
        foreach ($this->facts->surfacesOf($part) as $surface) {
            $mm = $this->sizes[$surface->id] ?? null;
            $isPlaced = $surface->x !== null || $surface->y !== null;
            if ($surface->type->isInside() && $isPlaced && $mm !== null) {
                $holes[] = [
                    'name' => $surface->name,
                    'x_mm' => $surface->x->length->mm ?? 0.0,
                    'y_mm' => $surface->y->length->mm ?? 0.0,
                    'diameter_mm' => $mm,
                ];
            }
        }

        return $holes === [] ? $in : [...$in, 'holes' => $holes];
    }

    /**
     * @param  array<string, string>  $given
     * @return array{result: ?array<string, mixed>, refused: ?array{field: string, message: string}}
     */
    private function run(ReckoningFacts $reckoning, array $given): array
    {
        $unknown = [];
        try {
            $sum = Sums::named($reckoning->sum);
            $in = (new Typed($sum, $reckoning->unit))->read($given);
            foreach ($reckoning->from as $field => $from) {
                $mm = $this->taken($from);
                if ($mm === null) {
                    $unknown[$field] = ReckoningFacts::surfaceOf($from);
                } else {
                    $in[$field] = $mm;
                }
            }
            $in += array_map(static fn (array $of): float => $of[1], $this->ofTheShop($reckoning));
            $in = $this->withHoles($reckoning, $sum, $in);

            return ['result' => Sums::run($sum->name(), $in), 'refused' => null];
        } catch (BadInput $bad) {
            // What it can do without may wait for its size; what it can't is asked for by the surface's name.
            $surface = $unknown[$bad->field] ?? null;

            return [
                'result' => null,
                'refused' => [
                    'field' => $bad->field,
                    'message' => $surface === null
                        ? Words::sentence($reckoning->sum, $bad)
                        : 'There is no size of “'.($this->facts->surface($surface)->name ?? $surface).'” yet: measure it, or size it, or type a number here.',
                ],
            ];
        }
    }

    /**
     * @param  array{result: ?array<string, mixed>, refused: ?array{field: string, message: string}}  $run
     * @return array{result: ?array<string, mixed>, refused: ?string}
     */
    private static function short(array $run): array
    {
        return ['result' => $run['result'], 'refused' => $run['refused']['message'] ?? null];
    }
}
