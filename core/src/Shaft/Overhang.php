<?php

declare(strict_types=1);

namespace Oldpart\Core\Shaft;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;

/** A bar or thin work that sticks out and bends under the cut; mm. */
final readonly class Overhang
{
    /** In its own diameters: from here it chatters, and from here steel no longer serves. Common practice. */
    private const CHATTERS = 4.0;

    private const TOO_FAR = 6.0;

    private const THINNEST_MM = 0.001;

    private const SOFTEST_GPA = 0.001;

    public float $ratio;

    /** F L³/(3 E I). Source: cantilever, strength of materials. */
    public float $deflectionMm;

    /** @throws BadInput for a bar that is none */
    public function __construct(float $stickOutMm, float $diameterMm, float $boreMm, float $eGpa, float $forceN)
    {
        foreach (['stick_out_mm' => $stickOutMm, 'diameter_mm' => $diameterMm, 'e_gpa' => $eGpa] as $field => $value) {
            if (! ($value > 0)) {
                throw new BadInput('size', $field, 'How far it sticks out, its diameter and its stiffness must be above zero.');
            }
        }
        if (! ($boreMm >= 0) || ! ($boreMm < $diameterMm)) {
            throw new BadInput('bore', 'bore_mm', 'Its bore is zero or more, and less than its outside.');
        }
        if ($diameterMm < self::THINNEST_MM || $eGpa < self::SOFTEST_GPA) {
            throw new BadInput(
                'size',
                $diameterMm < self::THINNEST_MM ? 'diameter_mm' : 'e_gpa',
                'No bar is thinner than 0.001 mm or softer than 0.001 GPa: check the unit and the decimal point.',
            );
        }
        $inertia = (M_PI * ($diameterMm ** 4 - $boreMm ** 4)) / 64;
        $this->ratio = $stickOutMm / $diameterMm;
        $this->deflectionMm = ($forceN * $stickOutMm ** 3) / (3 * 1000 * $eGpa * $inertia);
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return match (true) {
            $this->ratio > self::TOO_FAR => [
                Note::caution('too-far', 'Over six times its diameter a steel bar chatters: shorten it, support it, or take a heavy-metal or damped bar.'),
            ],
            $this->ratio > self::CHATTERS => [
                Note::caution('chatters', 'Over four times its diameter it is likely to chatter: small nose radius, light cuts, slow.'),
            ],
            default => [],
        };
    }
}
