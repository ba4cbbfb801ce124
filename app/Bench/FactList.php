<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Clearance;
use App\Models\Concession;
use App\Models\Cost;
use App\Models\Cut;
use App\Models\Evidence;
use App\Models\FactModel;
use App\Models\Joint;
use App\Models\Loop;
use App\Models\Mistake;
use App\Models\Operation;
use App\Models\Part;
use App\Models\Photo;
use App\Models\Push;
use App\Models\Reading;
use App\Models\Reckoning;
use App\Models\Surface;
use App\Models\Tick;
use App\Models\Trial;

/** The lists of things in a job, as the job file names them. */
enum FactList: string
{
    case Parts = 'parts';
    case Surfaces = 'surfaces';
    case Readings = 'readings';
    case Joints = 'joints';
    case Cuts = 'cuts';
    case Ticks = 'ticks';
    case Pushes = 'pushes';
    case Loops = 'loops';
    case Mistakes = 'mistakes';
    case Clearances = 'clearances';
    case Concessions = 'concessions';
    case Trials = 'trials';
    case Reckonings = 'reckonings';
    case Evidence = 'evidence';
    case Photos = 'photos';
    case Operations = 'operations';
    case Costs = 'costs';

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
            self::Pushes => Push::class,
            self::Loops => Loop::class,
            self::Mistakes => Mistake::class,
            self::Clearances => Clearance::class,
            self::Concessions => Concession::class,
            self::Trials => Trial::class,
            self::Reckonings => Reckoning::class,
            self::Evidence => Evidence::class,
            self::Photos => Photo::class,
            self::Operations => Operation::class,
            self::Costs => Cost::class,
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
            self::Parts => ['material' => null, 'form' => 'turned', 'hardness' => null, 'tests' => [], 'both_hands' => false],
            self::Surfaces => [
                'role' => null,
                'stations' => [],
                'angles' => [],
                'criticality' => 'fit',
                'condition' => null,
                'datum' => false,
                'size' => null,
                'size2' => null,
                'at' => null,
                'long' => null,
                'x' => null,
                'y' => null,
                'pitch' => null,
                'count' => null,
                'hand' => null,
                'angle_deg' => null,
                'finish' => null,
                'rz_um' => null,
                'demand' => null,
                'work' => null,
                'sure' => null,
                'shape' => null,
                'treated' => null,
                'hardness' => null,
                'centred_on' => null,
                'source' => null,
                'sketch' => null,
            ],
            self::Readings => [
                'station' => '1',
                'angle' => '0',
                'was' => null,
                'history' => [],
                'part_c' => null,
                'gauge_c' => null,
                'worn' => null,
                'set_aside' => null,
                'remark' => null,
                'taken_at' => null,
                'correction_mm' => null,
                'state' => 'before',
                'what' => '',
                'by' => null,
            ],
            self::Joints => [
                'along' => null,
                'school' => null,
                'least' => null,
                'most' => null,
                'reason' => '',
                'needs_torque_nm' => null,
                'finish_in_place' => null,
                'asked' => null,
                'bearing' => null,
                'load_n' => null,
                'speed_rpm' => null,
                'outer_c' => null,
                'inner_c' => null,
                'held' => [],
                'fit' => null,
                'first' => null,
            ],
            self::Cuts => ['phase' => 'only', 'dialled' => null, 'part_c' => null, 'set_aside' => null, 'at' => null, 'piece' => 1, 'clean' => true, 'by' => null],
            self::Ticks => ['at' => null, 'remark' => null, 'failed' => false, 'by' => null],
            self::Pushes => ['at' => null, 'by' => null],
            self::Loops => ['least' => null, 'most' => null, 'lengths' => [], 'plane' => false],
            self::Mistakes => [
                'surface' => null,
                'loop' => null,
                'length' => null,
                'old' => null,
                'new' => null,
                'readings' => [],
                'note' => '',
                'at' => null,
            ],
            self::Concessions => [
                'surface' => null,
                'phase' => 'only',
                'joint' => null,
                'loop' => null,
                'cut' => null,
                'decision' => 'accepted',
                'at' => null,
            ],
            self::Trials => [
                'joint' => null,
                'loop' => null,
                'cut' => null,
                'amount' => null,
                'turn' => null,
                'pitch' => null,
                'note' => '',
                'at' => null,
                'by' => null,
            ],
            self::Reckonings => ['given' => [], 'from' => [], 'gives' => [], 'rounds' => [], 'note' => ''],
            self::Clearances => [
                'travel' => 'still',
                'other' => 'wall',
                'arm' => null,
                'mover' => null,
                'from_deg' => null,
                'to_deg' => null,
                'from' => null,
                'to' => null,
                'x' => null,
                'y' => null,
                'other_size' => null,
                'doubt' => null,
                'least' => null,
            ],
            self::Evidence => ['note' => ''],
            self::Photos => ['note' => '', 'surface' => null, 'x' => null, 'y' => null, 'taken_at' => null],
            self::Operations => ['setup_min' => 0, 'run_min' => 0, 'spent_min' => null, 'running_since' => null],
            self::Costs => ['amount' => null, 'each_piece' => false, 'price_per_kg' => null, 'mass_kg' => null],
        };
    }

    /** Carries the name of who did it. */
    public function isSigned(): bool
    {
        return in_array($this, [self::Readings, self::Cuts, self::Pushes, self::Trials, self::Ticks], true);
    }

    /** Readings, cuts, the forces of a press, trials and what was found wrong are the record: never taken away. */
    public function isRecord(): bool
    {
        return in_array($this, [self::Readings, self::Cuts, self::Pushes, self::Mistakes, self::Trials], true);
    }
}
