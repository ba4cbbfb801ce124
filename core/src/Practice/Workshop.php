<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Gauge\Rack;
use Oldpart\Core\Joint\Body;
use Oldpart\Core\Measure\Cooling;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;

/**
 * The simulated shop as it stands after what was done in it: true sizes, warmth, what is joined. It answers the next
 * deed. What was seen and cut stands in the deeds; nothing that was is drawn again.
 */
final class Workshop
{
    /** Under so much wall, a ring that is already thin outside gives when it is bored in the chuck, mm. */
    private const THIN_MM = 1.5;

    /** By so much it then comes out of round, and three-cornered, mm. Common practice. */
    private const SPRUNG = ['ovality' => 0.05, 'lobes' => 0.015];

    /** @var array<string, TrueSurface> */
    private array $surfaces;

    /** @var array<string, array{celsius: float, at: float}> by part: how warm it was, and when, min */
    private array $warm = [];

    /** @var array<string, float> by surface: what the tool was pushed away by */
    private array $owed = [];

    /** @var array<string, bool> */
    private array $clean = [];

    /** @var array<string, Joined> by joint */
    private array $joined = [];

    private float $now = 0.0;

    private ?string $lastCut = null;

    private bool $over = false;

    /** @var list<Deed> */
    private array $deeds = [];

    /** @param  list<Deed>  $deeds  done so far, in order, each with its result */
    public function __construct(
        public readonly JobFacts $laid,
        public readonly Truth $truth,
        array $deeds,
    ) {
        $this->surfaces = $truth->surfaces;
        foreach ($truth->warm as $part => $celsius) {
            $this->warm[$part] = ['celsius' => $celsius, 'at' => 0.0];
        }
        foreach ($deeds as $deed) {
            $this->take($deed);
        }
    }

    /** @return list<Deed> */
    public function deeds(): array
    {
        return $this->deeds;
    }

    public function isOver(): bool
    {
        return $this->over;
    }

    /** Minutes since it came in. */
    public function minutes(): float
    {
        return $this->now;
    }

    public function surface(string $id): ?TrueSurface
    {
        return $this->surfaces[$id] ?? null;
    }

    /** @return array<string, TrueSurface> as they are now */
    public function surfaces(): array
    {
        return $this->surfaces;
    }

    /** @return array<string, Joined> by joint */
    public function joined(): array
    {
        return $this->joined;
    }

    public function isClean(string $surface): bool
    {
        return isset($this->clean[$surface]);
    }

    /** How warm a part is now, °C. */
    public function celsius(string $part): float
    {
        $warm = $this->warm[$part] ?? null;
        if ($warm === null) {
            return $this->truth->roomC;
        }
        $body = $this->body($part, $warm['celsius']);

        return $body->celsiusAfter(60 * ($this->now - $warm['at']), $this->truth->roomC, Cooling::STILL_AIR);
    }

    /** What a part is really of. */
    public function material(string $part): Material
    {
        return Material::named($this->truth->materials[$part] ?? throw new BadInput('no-part', 'part', 'There is no such part.'));
    }

    /**
     * Does the next thing.
     *
     * @return Deed with what came of it
     *
     * @throws BadInput where it can't be done here
     */
    public function do(Deed $deed): Deed
    {
        if ($this->over) {
            throw new BadInput('over', 'kind', 'This practice is over. Start it anew to do more on it.');
        }
        $dice = new Dice($this->truth->seed, count($this->deeds).'/'.$deed->kind->value);
        $result = match ($deed->kind) {
            DeedKind::Read => $this->reading($deed, $dice),
            DeedKind::Check => $this->checked($deed, $dice),
            // To half a degree, by a cheap thermometer.
            DeedKind::Warmth => [
                'celsius' => round(2 * ($this->celsius($this->part($deed)->id) + Rack::THERMOMETER_K * $dice->normal())) / 2,
            ],
            DeedKind::Test => $this->tested($deed, $dice),
            DeedKind::Line => ['mm' => round(max(0.0, $this->truth->outOfLineMm + 0.005 * $dice->normal()), 2)],
            DeedKind::Stock => $this->bar($deed),
            DeedKind::Cut => $this->cut($deed, $dice),
            DeedKind::Together => (new Together($this))->of($deed),
            DeedKind::Clean => ['clean' => $this->have($deed)->id],
            DeedKind::Wait, DeedKind::Decline, DeedKind::End => ['done' => true],
        };
        $done = $deed->done($result);
        $this->take($done);

        return $done;
    }

    private function take(Deed $deed): void
    {
        $this->deeds[] = $deed;
        $this->now += $deed->minutes;
        $result = $deed->result;
        if ($deed->kind === DeedKind::Clean && $deed->surface !== null) {
            $this->clean[$deed->surface] = true;
        }
        if ($deed->kind === DeedKind::Cut && $deed->surface !== null) {
            $this->lastCut = $deed->surface;
            $this->owed[$deed->surface] = $deed->number('owed') ?? 0.0;
        }
        /** @var array<string, list<float>> $sizes */
        $sizes = is_array($result['sizes'] ?? null) ? $result['sizes'] : [];
        foreach ($sizes as $id => [$size, $ovality, $taper, $lobes]) {
            $known = $this->surfaces[$id] ?? null;
            if ($known !== null) {
                $this->surfaces[$id] = $known->shaped(TrueSurface::with(
                    $known->shape,
                    sizeMm: $size,
                    ovalityMm: $ovality,
                    taperMm: $taper,
                    lobesMm: $lobes,
                ));
            }
        }
        /** @var array<string, float> $warm */
        $warm = is_array($result['warm'] ?? null) ? $result['warm'] : [];
        foreach ($warm as $part => $celsius) {
            $this->warm[$part] = ['celsius' => $celsius, 'at' => $this->now];
        }
        /** @var array<string, string> $joined */
        $joined = is_array($result['joined'] ?? null) ? $result['joined'] : [];
        foreach ($joined as $joint => $how) {
            $this->joined[$joint] = Joined::from($how);
        }
        $this->over = $this->over || in_array($deed->kind, [DeedKind::Decline, DeedKind::End], true);
    }

    /**
     * @param  array<string, TrueSurface>  $changed
     * @return array<string, list<float>> as it stands in a deed
     */
    public static function sizes(array $changed): array
    {
        return array_map(
            static fn (TrueSurface $s): array => [
                $s->shape->sizeMm,
                $s->shape->ovalityMm,
                $s->shape->taperMm,
                $s->shape->lobesMm,
            ],
            $changed,
        );
    }

    private function have(Deed $deed): TrueSurface
    {
        return $this->surfaces[$deed->surface ?? ''] ?? throw new BadInput(
            'nothing-there',
            'surface',
            'This surface has no size of its own in practice. Take another.',
        );
    }

    private function part(Deed $deed): PartFacts
    {
        return $this->laid->part($deed->part ?? '')
            ?? throw new BadInput('no-part', 'part', 'There is no such part.');
    }

    private function tool(Deed $deed): Instrument
    {
        return $this->laid->shop->instruments->named($deed->instrument ?? '');
    }

    /** @return array<string, mixed> */
    private function reading(Deed $deed, Dice $dice): array
    {
        $surface = $this->have($deed);
        $tool = $this->tool($deed);
        $fits = $tool->travelMm !== null && $surface->kind !== SurfaceKind::Length
            || $tool->canMeasure($surface->kind, $surface->shape->sizeMm);
        if (! $fits) {
            throw new BadInput(
                'gauge-does-not-fit',
                'instrument',
                "The {$tool->name} can’t read this: it is too large, too small or the wrong kind. Take another gauge.",
            );
        }
        $seen = Seen::by(
            tool: $tool,
            surface: $surface,
            deed: $deed,
            truth: $this->truth,
            celsius: $this->celsius($surface->part),
            clean: $this->isClean($surface->id) || $surface->cut,
            dice: $dice,
            unit: $this->laid->unit,
        );

        return [
            'mm' => $seen->shownMm,
            'hidden' => [...$seen->parts(), 'celsius' => $this->celsius($surface->part)],
        ];
    }

    /** @return array<string, mixed> */
    private function checked(Deed $deed, Dice $dice): array
    {
        $tool = Seen::marked($this->tool($deed), $this->laid->unit);
        $off = ($this->truth->gaugeErrors[$tool->code] ?? 0.0) + $tool->repeatabilityMm * $dice->normal();
        $step = max(1e-4, $tool->resolutionMm);

        return ['mm' => round($off / $step) * $step];
    }

    /** @return array<string, mixed> */
    private function tested(Deed $deed, Dice $dice): array
    {
        $part = $this->part($deed);
        /** @var array{groups: list<array{code: string, material: string, shows: array<string, array<string, float>>}>} $table */
        $table = Table::read('material-tests');
        $is = $this->material($part->id);
        foreach ($table['groups'] as $group) {
            $of = Material::named($group['material']);
            $shows = $group['shows'][$deed->test ?? ''] ?? null;
            if ($of->family === $is->family && $of->brittle === $is->brittle && $shows !== null) {
                $at = $dice->even(0, array_sum($shows));
                foreach ($shows as $outcome => $often) {
                    $at -= $often;
                    if ($at <= 0) {
                        return ['outcome' => $outcome];
                    }
                }
            }
        }
        throw new BadInput('no-test', 'test', 'This test shows nothing of this part. Try another.');
    }

    /** @return array<string, mixed> */
    private function bar(Deed $deed): array
    {
        foreach ($this->truth->bars as $bar) {
            if ($bar['name'] === $deed->test) {
                return [
                    'mm' => $bar['mm'],
                    'through' => $bar['mm'] <= $this->truth->spindleMm,
                    'long' => $bar['long'],
                ];
            }
        }
        throw new BadInput('no-bar', 'test', 'There is no such bar on the rack.');
    }

    /** @return array<string, mixed> */
    private function cut(Deed $deed, Dice $dice): array
    {
        $surface = $this->have($deed);
        if (! $surface->cut) {
            throw new BadInput('not-cut', 'surface', 'This surface is not cut: its part is found or bought.');
        }
        $cut = $this->truth->lathe->cut(
            $deed->mm,
            $this->owed[$surface->id] ?? 0.0,
            $this->lastCut !== $surface->id,
            $dice->normal(),
        );
        $sign = $surface->kind === SurfaceKind::Bore ? 1 : -1;
        $size = $surface->shape->sizeMm + $sign * $cut['takenMm'];
        if ($size <= 0.1) {
            throw new BadInput('nothing-left', 'mm', 'That would cut all of it away. Dial less.');
        }
        $round = $surface->kind !== SurfaceKind::Length;
        $changed = [$surface->id => $surface->shaped(TrueSurface::with(
            $surface->shape,
            sizeMm: $size,
            taperMm: $round ? $this->truth->lathe->taperPer100 * ($surface->longMm / 100) : 0.0,
        ))];
        if ($deed->mm > 0) {
            $changed = $this->sprung($changed, $changed[$surface->id]);
        }
        $warm = $this->celsius($surface->part) + $this->truth->lathe->warms($cut['takenMm'], $size);

        return [
            'owed' => $cut['owedMm'],
            'sizes' => self::sizes($changed),
            'warm' => [$surface->part => $warm],
            'sprung' => count($changed) > 1,
        ];
    }

    /**
     * A ring that is thin and finished outside, bored in the chuck: both come out of round.
     *
     * @param  array<string, TrueSurface>  $changed
     * @return array<string, TrueSurface>
     */
    private function sprung(array $changed, TrueSurface $bored): array
    {
        if ($bored->kind !== SurfaceKind::Bore) {
            return $changed;
        }
        foreach ($this->surfaces as $outside) {
            $wall = ($outside->shape->sizeMm - $bored->shape->sizeMm) / 2;
            $begun = $this->truth->surfaces[$outside->id]->shape->sizeMm;
            if (
                $outside->part === $bored->part
                && $outside->kind === SurfaceKind::Shaft
                && $outside->cut
                && $wall > 0
                && $wall < self::THIN_MM
                && $outside->shape->sizeMm < $begun - 0.01
            ) {
                foreach ([$bored, $outside] as $one) {
                    $changed[$one->id] = $one->shaped(TrueSurface::with(
                        $one->shape,
                        ovalityMm: self::SPRUNG['ovality'],
                        lobesMm: self::SPRUNG['lobes'],
                    ));
                }
            }
        }

        return $changed;
    }

    private function body(string $part, float $celsius): Body
    {
        $across = 20.0;
        $long = 20.0;
        foreach ($this->surfaces as $surface) {
            if ($surface->part === $part && $surface->kind === SurfaceKind::Shaft) {
                $across = max($across, $surface->shape->sizeMm);
                $long = max($long, $surface->longMm);
            } elseif ($surface->part === $part && $surface->kind === SurfaceKind::Bore) {
                $across = max($across, 1.5 * $surface->shape->sizeMm);
                $long = max($long, $surface->longMm);
            }
        }

        return Body::ring($this->material($part), $across, 0.0, $long, $celsius);
    }

    /** @return list<array{surface: SurfaceFacts, true: TrueSurface}> what can be read or cut, as it was laid out */
    public function things(): array
    {
        $things = [];
        foreach ($this->laid->surfaces as $surface) {
            $true = $this->surfaces[$surface->id] ?? null;
            if ($true !== null) {
                $things[] = ['surface' => $surface, 'true' => $true];
            }
        }

        return $things;
    }
}
