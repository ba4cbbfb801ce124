<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Thread\ScrewHole;
use Oldpart\Core\Thread\Thread;

final class ScrewHoleSum implements Sum
{
    public function name(): string
    {
        return 'screw-hole';
    }

    public function says(): string
    {
        return 'The hole a screw goes through, its counterbore, spot face or countersink.';
    }

    public function example(): array
    {
        return ['screw' => 'M10', 'head' => 'cap', 'plate_mm' => 20.0];
    }

    public function takes(): array
    {
        return ['screw', 'head', 'plate_mm'];
    }

    public function run(Fields $in): array
    {
        try {
            $thread = Thread::named($in->text('screw'));
            $hole = ScrewHole::of($thread);
        } catch (BadInput $bad) {
            throw $bad->about('screw');
        }
        $head = $in->textOrNull('head') ?? 'cap';
        if (! in_array($head, ['cap', 'hexagon', 'countersunk'], true)) {
            throw $in->bad('head', 'is one of: cap, hexagon, countersunk.');
        }
        $deep = match ($head) {
            'cap' => $hole->counterboreDeepMm(),
            'hexagon' => null,
            default => (ScrewHole::countersinkMm($thread) - $hole->mediumMm) / 2,
        };
        $plate = $in->numberOrNull('plate_mm');

        return [
            'through_mm' => $hole->mediumMm,
            'close_mm' => $hole->fineMm,
            'loose_mm' => $hole->coarseMm,
            'head_mm' => match ($head) {
                'cap' => $hole->counterboreMm,
                'hexagon' => $hole->spotFaceMm(),
                default => ScrewHole::countersinkMm($thread),
            },
            'deep_mm' => $deep,
            'under_head_mm' => $plate === null || $deep === null ? null : $plate - $deep,
            'notes' => self::notes($thread, $head, $plate, $deep),
            'working' => [
                new WorkingStep(
                    'Through, and for the head',
                    match ($head) {
                        'cap' => 'medium; counterbore by the table, as deep as the head and 0.5 mm',
                        'hexagon' => 'medium; the washer and 1 mm, just deep enough to clean up',
                        default => 'medium; 90°, twice the screw across',
                    },
                    LengthWriter::size($hole->mediumMm),
                    $thread->isMetric() ? 'ISO 273, DIN 974-1' : 'ASME B18.2.8, B18.3',
                ),
            ],
        ];
    }

    /** @return list<Note> */
    private static function notes(Thread $thread, string $head, ?float $plate, ?float $deep): array
    {
        $left = $plate === null || $deep === null ? null : $plate - $deep;

        return match (true) {
            $left !== null && $left < 0 => [Note::stop('no-plate', 'The plate is thinner than the head is deep: take a thinner head, or let it stand out.')],
            $left !== null && $left < 0.5 * $thread->majorMm => [
                Note::caution('thin-seat', Say::with('Only {l} is left under the head: half of the screw at least is common practice.', [
                    'l' => LengthWriter::sizeInWords($left),
                ])),
            ],
            $head === 'hexagon' => [Note::info('spot-face', 'A spot face only has to clean up all round: on a rough casting the head would bend its screw.')],
            default => [],
        };
    }
}
