<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\PushFacts;
use Oldpart\Core\Joint\PressLog;
use Oldpart\Core\Picture\ForcePicture;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\LengthWriter;

/** A joint being pressed: each force seen, what was expected there, whether to go on. */
final readonly class PressingAnswer implements \JsonSerializable
{
    private function __construct(private SizedJoint $joint, private JobFacts $facts, private PressLog $log)
    {
    }

    public static function of(JobFacts $facts, SizedJoint $joint): ?self
    {
        return $joint->press === null || $joint->withheld
            ? null
            : new self($joint, $facts, new PressLog($joint->press));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $press = $this->joint->press ?? throw new \LogicException('checked by the caller');
        $pushes = $this->facts->pushesOf($this->joint->joint->id);
        $rows = array_map(fn (PushFacts $push): array => $this->row($push), $pushes);

        return [
            'joint' => $this->joint->joint->id,
            'name' => $this->joint->joint->name,
            'rows' => $rows,
            'notes' => $this->notes($pushes),
            'picture' => ForcePicture::draw(
                $press,
                $this->facts->shop->pressN,
                array_map(static fn (PushFacts $p): array => [$p->depth->length->mm, $p->forceN], $pushes),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function row(PushFacts $push): array
    {
        $expected = $this->log->expectedN($push->depth->length->mm);

        return [
            'id' => $push->id,
            'depth' => LengthWriter::size($push->depth->length->mm),
            'force' => Figure::forceAtLeast($push->forceN),
            'expected' => Figure::forceAtLeast($expected->min).' to '.Figure::forceUpTo($expected->max),
            'verdict' => $this->log->verdict($push->depth->length->mm, $push->forceN),
        ];
    }

    /**
     * @param  list<PushFacts>  $pushes
     * @return list<Note>
     */
    private function notes(array $pushes): array
    {
        $last = $pushes === [] ? null : $pushes[count($pushes) - 1];
        if ($last === null) {
            return [];
        }
        $depth = $last->depth->length->mm;
        $notes = [];
        $verdict = $this->log->verdict($depth, $last->forceN);
        if ($verdict === 'over') {
            $notes[] = Note::stop(
                'force-jumped',
                Say::with(
                    'Stop. At {d} it takes {f}, and at most {m} was to be expected: a burr, a taper, or a crooked start. Press it back out, or go on only when you know which.',
                    [
                        'd' => LengthWriter::sizeInWords($depth),
                        'f' => Figure::forceAtLeast($last->forceN),
                        'm' => Figure::forceUpTo($this->log->expectedN($depth)->max),
                    ],
                ),
            );
        } elseif ($verdict === 'under') {
            $notes[] = Note::caution(
                'force-low',
                Say::with(
                    'It goes in easier than it should: at {d} at least {m} was to be expected. It will hold less; pin it or bond it if that is not enough.',
                    [
                        'd' => LengthWriter::sizeInWords($depth),
                        'm' => Figure::forceAtLeast($this->log->expectedN($depth)->min),
                    ],
                ),
            );
        }
        $implied = $this->log->impliedMm($depth, $last->forceN);
        if ($implied !== null) {
            $notes[] = Note::info(
                'force-tells',
                Say::with('The force tells of {a} to {b} of interference.', [
                    'a' => LengthWriter::difference($implied->min),
                    'b' => LengthWriter::difference($implied->max),
                ]),
            );
        }

        return $notes;
    }
}
