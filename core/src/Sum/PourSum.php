<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pour\Poured;
use Oldpart\Core\Pour\PouredBearing;
use Oldpart\Core\Pour\WhiteMetal;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class PourSum implements Sum
{
    /** Shims at the split are so much thicker at least than the saw cuts. Common practice. */
    private const OVER_KERF_MM = 0.3;

    public function name(): string
    {
        return 'pour';
    }

    public function says(): string
    {
        return 'A white-metal bearing to pour: mandrel, wall, metal to melt, and how hard it presses at the bottom.';
    }

    public function example(): array
    {
        return [
            'journal_mm' => 60.0,
            'boring_mm' => 3.0,
            'shell_bore_mm' => 72.0,
            'length_mm' => 90.0,
            'flanges' => [['outside_mm' => 90.0, 'thickness_mm' => 6.0]],
            'headroom_mm' => 15.0,
            'metal' => 'tin',
            'kerf_mm' => 0.8,
        ];
    }

    public function takes(): array
    {
        return [
            'journal_mm',
            'boring_mm',
            'shell_bore_mm',
            'length_mm',
            'flanges',
            'headroom_mm',
            'metal',
            'density_kg_m3',
            'kerf_mm',
            'base_mm',
            'washer_mm',
            'rod_mm',
            'seen',
        ];
    }

    public function run(Fields $in): array
    {
        $flanges = $in->has('flanges')
            ? array_map(static function (Fields $f): array {
                $f->only(['outside_mm', 'thickness_mm']);

                return ['outside' => $f->number('outside_mm'), 'thickness' => $f->number('thickness_mm')];
            }, $in->objects('flanges'))
            : [];
        $metal = WhiteMetal::tryFrom($in->textOrNull('metal') ?? 'tin')
            ?? throw $in->bad('metal', 'is one of: tin, lead.');
        $seen = $in->textOrNull('seen');
        $poured = $seen === null ? null : Poured::tryFrom($seen)
            ?? throw $in->bad('seen', 'is one of: '.implode(', ', array_column(Poured::cases(), 'value')).'; or empty before the pour.');
        $kerf = $in->numberOrNull('kerf_mm');
        $pour = new PouredBearing(
            journalMm: $in->number('journal_mm'),
            boringMm: $in->number('boring_mm'),
            shellBoreMm: $in->number('shell_bore_mm'),
            lengthMm: $in->number('length_mm'),
            flanges: $flanges,
            headroomMm: $in->numberOrNull('headroom_mm') ?? 0.0,
            densityKgM3: $in->numberOrNull('density_kg_m3') ?? $metal->densityKgM3(),
        );

        return [
            'mandrel_mm' => $pour->mandrelMm,
            'wall_mm' => $pour->wallMm,
            'volume_mm3' => $pour->volumeMm3,
            'mass_kg' => $pour->massKg,
            'pressure_kpa' => $pour->pressureKpa,
            'split_shim_mm' => $kerf === null ? null : self::splitShimMm($in, $kerf),
            'level_shim_mm' => self::levelShimMm($in),
            'preheat_c' => $metal->preheatC(),
            'pour_c' => $metal->pourC(),
            'kept' => $poured?->isKept(),
            'steps' => self::steps($pour, $metal),
            'notes' => [
                ...$poured === null ? [] : [
                    $poured->isKept() ? Note::info('kept', $poured->says()) : Note::stop('pour-again', $poured->says()),
                ],
                Note::stop('molten', 'Molten metal and any damp make steam that throws it: everything bone dry and warm, face and hands covered, no bystanders, air for the fumes. Old bearing metal may hold lead.'),
                ...$in->has('density_kg_m3') ? [] : [Note::info('density', "Density {$metal->densityKgM3()} kg/m³ is taken, as of {$metal->value}-based white metal.")],
            ],
            'working' => [
                new WorkingStep('Mandrel', 'journal − boring; metal from it to the shell, and a fifth to spare', LengthWriter::size($pour->mandrelMm), 'geometry; hydrostatics'),
            ],
        ];
    }

    /** Both halves are sawn apart: the shims fill the cut, and leave a little to take out as it wears. */
    private static function splitShimMm(Fields $in, float $kerf): float
    {
        if (! ($kerf > 0)) {
            throw $in->bad('kerf_mm', 'is how wide the saw cuts, above zero; or empty.');
        }

        return $kerf + self::OVER_KERF_MM;
    }

    /** What levels the mandrel’s rod with the shell on its base and washer: above zero under the rod. */
    private static function levelShimMm(Fields $in): ?float
    {
        [$base, $washer, $rod] = [$in->numberOrNull('base_mm'), $in->numberOrNull('washer_mm'), $in->numberOrNull('rod_mm')];

        return $base === null || $rod === null ? null : $base + ($washer ?? 0.0) - $rod;
    }

    /** @return list<Say> */
    private static function steps(PouredBearing $pour, WhiteMetal $metal): array
    {
        [$preheat, $hot] = [$metal->preheatC(), $metal->pourC()];

        return [
            Say::plain('Melt the old metal out, clean the shell to bright iron, and bake it until nothing weeps. Tin it, or leave its key holes and grooves open so that they hold the metal.'),
            Say::with('Turn the mandrel to {m}. Soot it and the washers, never the shell.', ['m' => LengthWriter::sizeInWords($pour->mandrelMm)]),
            Say::with('Set it up, the loaded face at the bottom, with the same gap at four places round: {w} and what is bored off. Fix washers and spacers so that none can float. Dams of dry putty.', [
                'w' => LengthWriter::sizeInWords($pour->wallMm),
            ]),
            Say::plain("Warm shell and mandrel to {$preheat->min} to {$preheat->max} °C. Melt ".round($pour->massKg, 2).' kg and keep it stirred from the bottom; skim it.'),
            Say::plain("Pour at {$hot->min} to {$hot->max} °C: a dry pine stick browns and does not flame. One steady stream, and feed the head while it freezes."),
            Say::plain('Let it cool in the shell. Tap it: it rings. Look along the edge: no gap. Then say here what you see.'),
            Say::plain('Saw it through at the split, dress both faces, lay the shims in, tighten the bolts, and bore it to its running size; then face, oil hole, groove.'),
        ];
    }
}
