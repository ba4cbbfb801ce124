<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** The fit the old pair had where it is not worn: what is wanted again. */
final readonly class OldPair
{
    /** How much of a tolerance a copied fit is given, half to either side. Common practice: a turned or bored fit. */
    private const GRADE = '7';

    /** @param  list<Note>  $notes */
    private function __construct(public ?Range $wantedMm, public ?Say $blocked, public array $notes)
    {
    }

    /**
     * @param  array<string, FoundSize>  $found  by surface
     * @param  array<string, array<string, FoundSize>>  $before  of surfaces that are cut, by state
     */
    public static function of(JobFacts $facts, JointFacts $joint, array $found, array $before): self
    {
        [$inner, $outer] = [$facts->surface($joint->inner), $facts->surface($joint->outer)];
        if ($inner === null || $outer === null) {
            throw new \LogicException('references are checked on reading');
        }
        $old = static fn (SurfaceFacts $s): ?FoundSize => $facts->isCut($s)
            ? $before[$s->id][ReadState::Before->value] ?? null
            : $found[$s->id] ?? null;
        [$in, $out] = [$old($inner), $old($outer)];
        if ($in === null || $out === null) {
            return new self(
                null,
                Say::plain(
                    'To copy the old fit, both of the old pair have to be read where they are not worn: measure the '.
                        implode(
                            ' and the ',
                            array_filter([
                                $in === null ? 'old '.lcfirst($inner->name) : '',
                                $out === null ? 'old '.lcfirst($outer->name) : '',
                            ]),
                        ).
                        '.',
                ),
                [],
            );
        }
        $size = $out->unwornMeanMm ?? $out->meanMm;
        if (! Iso286::covers($size)) {
            $large = 'The tables say nothing of a fit of this size: type the least and the most clearance yourself.';

            return new self(null, Say::plain($large), []);
        }
        $clearance = $size - ($in->unwornMeanMm ?? $in->meanMm);
        $doubt = hypot($in->sureMeanMm(), $out->sureMeanMm());
        $half = Iso286::tolerance($size, self::GRADE) / 2000;
        $says = Say::with('The old pair had {c}, sure to ±{u}: that is copied, give or take {h} (half of IT7).', [
            'c' => Words::range(new Range($clearance, $clearance)),
            'u' => LengthWriter::atLeast($doubt),
            'h' => LengthWriter::difference($half),
        ]);
        $notes = [Note::info('old-fit', $says)];
        $unmarked = array_filter([
            $in->unwornMeanMm === null ? lcfirst($inner->name) : '',
            $out->unwornMeanMm === null ? lcfirst($outer->name) : '',
        ]);
        if ($unmarked !== []) {
            $notes[] = Note::caution(
                'old-fit-worn',
                'No spot of the '.
                    implode(' and of the ', $unmarked).
                    ' is marked unworn: wear is copied with the fit. Mark at Measure which readings are of unworn spots.',
            );
        }
        if ($doubt > $half) {
            $notes[] = Note::caution(
                'old-fit-unsure',
                'The old pair was read less surely than the fit is to be copied: read both with something better.',
            );
        }

        return new self(new Range($clearance - $half, $clearance + $half), null, $notes);
    }
}
