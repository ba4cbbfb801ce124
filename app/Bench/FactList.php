<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Cut;
use App\Models\FactModel;
use App\Models\Joint;
use App\Models\Part;
use App\Models\Reading;
use App\Models\Surface;
use App\Models\Tick;

/** The lists of things in a job, as the job file names them. */
enum FactList: string
{
    case Parts = 'parts';
    case Surfaces = 'surfaces';
    case Readings = 'readings';
    case Joints = 'joints';
    case Cuts = 'cuts';
    case Ticks = 'ticks';

    /** @return class-string<FactModel> */
    public function model(): string
    {
        return match ($this) {
            self::Parts => Part::class,
            self::Surfaces => Surface::class,
            self::Readings => Reading::class,
            self::Joints => Joint::class,
            self::Cuts => Cut::class,
            self::Ticks => Tick::class,
        };
    }

    /**
     * What a new thing has when nothing is said; a field that is not here must be given.
     *
     * @return array<string, mixed>
     */
    public function blank(): array
    {
        return match ($this) {
            self::Parts => ['material' => null],
            self::Surfaces => ['role' => '', 'stations' => ['1'], 'angles' => ['0']],
            self::Readings => [
                'station' => '1', 'angle' => '0', 'was' => null, 'part_c' => null, 'gauge_c' => null, 'worn' => null,
                'set_aside' => null, 'remark' => null, 'taken_at' => null,
            ],
            self::Joints => [
                'along' => null, 'school' => null, 'least' => null, 'most' => null, 'reason' => '', 'needs_torque_nm' => null, 'finish_in_place' => null,
            ],
            self::Cuts => ['phase' => 'only', 'dialled' => null, 'part_c' => null, 'set_aside' => null, 'at' => null],
            self::Ticks => ['at' => null, 'remark' => null],
        };
    }
}
