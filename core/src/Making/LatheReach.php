<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** Whether a piece of work goes into a lathe, and what to do where it does not; mm. What is not said is not asked. */
final readonly class LatheReach
{
    /** Work that stands so many times its diameter out of the chuck wants the tail, or a steady. Common practice. */
    public const FREE = 3.0;

    public const WITH_TAIL = 12.0;

    /** @throws BadInput for work of nothing */
    public function __construct(
        private float $diameterMm,
        private float $longMm,
        private ?float $spindleMm = null,
        private ?float $swingMm = null,
        private ?float $centresMm = null,
        private ?float $chuckLeastMm = null,
        private ?float $chuckMostMm = null,
        private ?float $crossMm = null,
    ) {
        foreach (['diameter_mm' => $diameterMm, 'long_mm' => $longMm] as $field => $mm) {
            if (! ($mm > 0)) {
                throw new BadInput('work', $field, 'The work must be above zero across and along.');
            }
        }
    }

    /** The same work on a lathe of the shop, as far as its figures are known. */
    public static function on(Machine $lathe, float $diameterMm, float $longMm): self
    {
        return new self(
            diameterMm: $diameterMm,
            longMm: $longMm,
            spindleMm: $lathe->figure('spindle_mm'),
            swingMm: $lathe->figure('swing_mm'),
            centresMm: $lathe->figure('centres_mm'),
            chuckLeastMm: $lathe->figure('chuck_least_mm'),
            chuckMostMm: $lathe->figure('chuck_most_mm'),
            crossMm: $lathe->figure('cross_mm'),
        );
    }

    /** What the jaws want to hold, beyond the part itself. Common practice. */
    public static function gripMm(float $diameterMm): float
    {
        return max(15.0, 0.5 * $diameterMm);
    }

    public function passesSpindle(): ?bool
    {
        return $this->spindleMm === null ? null : $this->diameterMm <= $this->spindleMm;
    }

    public function swings(): ?bool
    {
        return $this->swingMm === null ? null : $this->diameterMm <= $this->swingMm;
    }

    public function isGripped(): ?bool
    {
        return $this->chuckLeastMm === null && $this->chuckMostMm === null
            ? null
            : $this->diameterMm >= ($this->chuckLeastMm ?? 0.0) && $this->diameterMm <= ($this->chuckMostMm ?? INF);
    }

    public function goesBetweenCentres(): ?bool
    {
        return $this->centresMm === null ? null : $this->longMm <= $this->centresMm;
    }

    /** Whether the cross-slide gets from the outside to the middle; null where its travel is not known. */
    public function isFacedAcross(): ?bool
    {
        return $this->crossMm === null ? null : $this->diameterMm / 2 <= $this->crossMm;
    }

    /** @return list<Note> */
    public function notes(): array
    {
        $notes = [];
        if ($this->swings() === false) {
            $notes[] = Note::stop('swing', 'It does not swing over the bed: a larger lathe, the mill, or bore it in place.');
        }
        if ($this->passesSpindle() === false) {
            $notes[] = Note::info('spindle', Say::with('Stock of {d} does not pass the spindle: saw it to length first, with {g} for the grip.', [
                'd' => LengthWriter::about($this->diameterMm),
                'g' => LengthWriter::about(self::gripMm($this->diameterMm)),
            ]));
        }
        if ($this->goesBetweenCentres() === false && $this->passesSpindle() === true) {
            $notes[] = Note::caution('through-spindle', 'It is longer than the lathe takes between centres, but goes through the spindle: one end at a time, as little as can be out of the jaws. What stands out behind the headstock has to be held from whipping: slow, and nobody beside it.');
        } elseif ($this->goesBetweenCentres() === false) {
            $notes[] = Note::stop('centres', 'It is longer than the lathe takes between centres: through the spindle, on a steady, or in two pieces.');
        }
        if ($this->isGripped() === false) {
            $notes[] = Note::caution('chuck', 'The jaws do not take it: turn them round, take the face plate, or a mandrel.');
        }
        if ($this->isFacedAcross() === false) {
            $notes[] = Note::caution('cross-travel', 'The cross-slide does not get from its outside to its middle: face it in two settings of the tool, or on the mill.');
        }
        $ratio = $this->longMm / $this->diameterMm;
        if ($ratio > self::WITH_TAIL) {
            $notes[] = Note::caution('steady', 'More than twelve times its diameter long: a steady, or it springs away from the tool.');
        } elseif ($ratio > self::FREE) {
            $notes[] = Note::info('tail', 'More than three times its diameter long: the tail centre, once its end is faced and drilled.');
        }

        return $notes;
    }
}
