<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Loops\SolvedPlane;
use Oldpart\Core\Loop\Sureness;
use Oldpart\Core\Picture\PlanePicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** A loop in two directions at once as it is shown, in the same shape as one along a line. */
final readonly class PlaneAnswer implements \JsonSerializable
{
    public function __construct(public SolvedPlane $of)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $of = $this->of;
        $shown = $of->blocked === null ? $of->plane : null;
        $chance = $of->chance();

        return [
            'id' => $of->facts->id,
            'blocked' => $of->blocked,
            'rows' => LoopRowAnswer::all($of->rows, array_column($of->plane?->shares() ?? [], 'share'), $of->withheld),
            'closes_at' => $shown === null ? null : LengthWriter::size($shown->sizeMm()),
            'worst' => $shown === null ? null : self::between($shown->worst()),
            'likely' => $shown === null ? null : self::between($shown->likely()),
            'chance' => $chance,
            'sure' => $chance === null ? null : Sureness::of($chance, 'as wanted', '{n} of 100 as wanted'),
            'in_use' => null,
            'solved' => null,
            'shared' => null,
            'length' => null,
            'remedies' => [],
            'shims' => null,
            'pile' => null,
            'picture' => $shown === null ? null : PlanePicture::draw($shown),
            'notes' => $of->notes(),
            'trials' => null,
            'working' => $shown === null ? [] : $shown->working(),
        ];
    }

    private static function between(Range $range): Say
    {
        return Say::with('{a} to {b}', [
            'a' => LengthWriter::size($range->min),
            'b' => LengthWriter::size($range->max),
        ]);
    }
}
