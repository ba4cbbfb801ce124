<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** A check of an instrument against a master: what it read, what is true, when. */
final readonly class GaugeCheck
{
    /** After so long a check says little. Common practice, a year. */
    public const GOOD_FOR_DAYS = 365;

    /** Further off than this, mm, it was mistyped or in the other unit. Common practice. */
    private const FARTHEST_MM = 1.0;

    /**
     * @param  float  $readMm  what it read on the master
     * @param  float  $trueMm  what the master is
     *
     * @throws BadInput where the two are too far apart to be of one master
     */
    public function __construct(public float $readMm, public float $trueMm, public \DateTimeImmutable $at)
    {
        if (abs($readMm - $trueMm) > self::FARTHEST_MM) {
            throw new BadInput(
                'far-off',
                'read',
                'These are more than a millimetre apart: check both and their units.',
            );
        }
    }

    /** What to add to what it shows, mm: true less read. */
    public function correctionMm(): float
    {
        return $this->trueMm - $this->readMm;
    }

    public function isRecent(\DateTimeImmutable $now): bool
    {
        return $now->getTimestamp() - $this->at->getTimestamp() <= self::GOOD_FOR_DAYS * 86400;
    }

    /**
     * What the checks of one instrument say: its error now, how it moved, and whether it is due. More than its
     * permissible error, twice its repeatability and its last digit together is a fault. Source: common practice.
     *
     * @param  list<GaugeCheck>  $checks  oldest first
     * @return list<Note>
     */
    public static function verdict(Instrument $tool, array $checks, \DateTimeImmutable $now): array
    {
        if ($checks === []) {
            return [Note::info('never-checked', 'Never checked against a master here.')];
        }
        $last = $checks[count($checks) - 1];
        $off = -$last->correctionMm();
        $way = $off > 0 ? 'over' : 'under';
        $notes = [
            Note::info(
                'checked',
                match (true) {
                    abs($off) < 1e-9 => 'Reads true.',
                    $last->isRecent($now) => Say::with('Reads {d} '.$way.'; its readings are corrected for it.', [
                        'd' => LengthWriter::difference($off),
                    ]),
                    default => Say::with('Read {d} '.$way.' then; too long ago to correct its readings by.', [
                        'd' => LengthWriter::difference($off),
                    ]),
                },
            ),
        ];
        $allowed = $tool->mpeAt($last->trueMm) + 2 * $tool->repeatabilityMm + $tool->resolutionMm;
        if (abs($off) > $allowed) {
            $notes[] = Note::stop(
                'beyond-its-limits',
                Say::with('That is more than such a gauge may err ({a}): have it mended before it decides a fit.', [
                    'a' => LengthWriter::difference($allowed),
                ]),
            );
        }
        if (! $last->isRecent($now)) {
            $notes[] = Note::caution(
                'check-due',
                'Not checked since '.$last->at->format('Y-m-d').': check it again.',
            );
        }
        $before = $checks[count($checks) - 2] ?? null;
        if ($before !== null && abs($last->correctionMm() - $before->correctionMm()) > $tool->resolutionMm) {
            $notes[] = Note::info(
                'drift',
                Say::with('It moved by {d} since the check before.', [
                    'd' => LengthWriter::difference($last->correctionMm() - $before->correctionMm()),
                ]),
            );
        }

        return $notes;
    }
}
