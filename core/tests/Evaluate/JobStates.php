<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;

/**
 * The job of each kind further on: its shapes noted at Survey, its shapes read, every surface asked for something, cut
 * to its limits or past them, assembled, run as a batch, withheld. Invented numbers.
 */
final class JobStates
{
    private const SHAPES = [
        'thread-outside' => ['M16', '1/2 UNC', 'M24x1.5'],
        'thread-inside' => ['M10', '3/8 UNC', 'M12'],
        'taper-outside' => ['1:8', '1:10', null],
        'taper-inside' => [null, '1:8', '1:10'],
        'groove-outside' => ['circlip', 'O-ring 2.62', null],
        'groove-inside' => ['O-ring 3.53', 'circlip', null],
        'teeth' => ['chain 1/2', 'module 2', 'belt 8M'],
    ];

    private const DEMANDS = [
        ['limits', '0.05', '0.02', null],
        ['free', null, null, 'f'],
        ['not-over', null, '0.1', null],
        ['as-the-old', null, null, null],
        ['not-under', '0.1', null, null],
        ['stock', '0.4', '0.2', null],
        ['as-it-comes', null, null, null],
    ];

    /** @var array<string, JobFacts> laid out once */
    private static array $once = [];

    /** @return array<string, JobFacts> by the code of its kind and the state it is in */
    public static function all(): array
    {
        return self::$once = self::$once === [] ? iterator_to_array(self::laidOut()) : self::$once;
    }

    /** @return iterable<string, JobFacts> */
    private static function laidOut(): iterable
    {
        $seed = -1;
        foreach (EachKind::jobs() as $code => $job) {
            $seed++;
            $facts = JobFile::toArray($job);
            $states = [
                'noted' => self::noted(...),
                'read' => self::read(...),
                'asked' => self::asked(...),
                'made' => self::made(...),
                'assembled' => self::assembled(...),
                'a batch' => self::batch(...),
                'withheld' => self::withheld(...),
            ];
            foreach ($states as $state => $change) {
                yield "{$code}, {$state}" => JobFacts::fromArray($change($facts, $seed));
            }
        }
    }

    /**
     * As the sketch has it, typed at Survey.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function noted(array $facts, int $seed): array
    {
        foreach ($facts['surfaces'] as $i => $surface) {
            $at = $i + $seed;
            $sketch = $surface['sketch'] ?? [];
            foreach (['size', 'size2', 'at', 'long', 'x', 'y', 'pitch'] as $field) {
                $surface[$field] ??= isset($sketch[$field]) ? self::mm($sketch[$field] + ($field === 'size' ? 0.01 : 0.0)) : null;
            }
            $facts['surfaces'][$i] = [
                ...$surface,
                'count' => $surface['count'] ?? $sketch['count'] ?? null,
                'shape' => (self::SHAPES[$surface['kind']] ?? [null])[$at % count(self::SHAPES[$surface['kind']] ?? [null])],
                'source' => ['drawing', 'catalogue', 'guess', 'similar part', 'scaled'][$at % 5],
                'sure' => $at % 4 === 0 ? self::mm(0.02) : null,
                'finish' => ['turned', null, 'ground', 'reamed', 'honed'][$at % 5],
                'treated' => [null, null, 'hardened', null, 'plated', 'case-hardened', null, 'welded'][$at % 8],
                'work' => $surface['condition'] !== null && $at % 2 === 0 ? ['cut', 'built up'][$at % 4 === 0 ? 0 : 1] : null,
            ];
        }
        // Half of what was read is not, and what is noted has to do.
        $facts['readings'] = array_values(array_filter($facts['readings'], static fn (array $r): bool => crc32($r['surface']) % 2 === 0));
        $facts['shop'] = [
            ...$facts['shop'],
            'machines' => [
                self::machine('lathe', ['swing_mm' => '300', 'centres_mm' => '500', 'spindle_mm' => '26', 'chuck_least_mm' => '3', 'chuck_most_mm' => '100', 'cross_mm' => '90', 'compound_mm' => '60', 'dial_mm' => '0.05', 'dial_reads' => 'radius', 'holds_mm' => '0.02']),
                self::machine('mill', ['table_mm' => '400', 'cross_mm' => '120', 'knee_mm' => '250', 'dial_mm' => '0.02']),
                self::machine('press', ['force_n' => '9000', 'daylight_mm' => '150']),
                self::machine('oven', ['most_c' => '180']),
            ],
            'taps' => 'M6, M10, 3/8 UNC',
            'dies' => 'M16, 1/2 UNC',
            'drills' => '3, 5, 6.8, 8.5, 10.2',
            'reamers' => '8, 10, 20, 22',
            'shims' => '0.05 x3, 0.1 x2, 0.25',
        ];
        foreach (array_keys($facts['parts']) as $i) {
            $facts['parts'][$i] = [
                ...$facts['parts'][$i],
                'material' => ($i + $seed) % 4 === 3 ? null : $facts['parts'][$i]['material'],
                'tests' => ($i + $seed) % 4 === 3 ? ['magnet' => 'strong', 'file' => 'bites', 'spark' => 'bushy'] : [],
                'hardness' => [null, ['scale' => 'HB', 'value' => 180, 'where' => 'its end'], null, ['scale' => 'HRC', 'value' => 52, 'where' => 'its journal']][($i + $seed) % 4],
            ];
        }
        $facts['take_in']['cause'] = ['wear', 'overload', 'crack', 'wrong by design'][$seed % 4];
        $facts['take_in']['speed_rpm'] = $seed % 2 === 0 ? 1450.0 : 90.0;

        return $facts;
    }

    /**
     * Its shapes are read too, each dimension a little off the sketch.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function read(array $facts, int $seed): array
    {
        foreach ($facts['surfaces'] as $i => $surface) {
            $sketch = $surface['sketch'] ?? [];
            $size = $sketch['size'] ?? null;
            $second = $sketch['size2'] ?? null;
            $pitch = $sketch['pitch'] ?? null;
            $count = $sketch['count'] ?? null;
            $facts['surfaces'][$i]['count'] ??= $count;
            if ($size === null) {
                continue;
            }
            $dimensions = match ($surface['kind']) {
                'taper-outside', 'taper-inside' => ['' => $size, 'far' => $second ?? $size - 3, 'over' => $sketch['long'] ?? 30],
                'thread-outside' => ['' => $size - 0.1, 'over-10' => 10 * ($pitch ?? 1.5), 'wire' => 0.6 * ($pitch ?? 1.5), 'over-wires' => $size + 0.3 * ($pitch ?? 1.5)],
                'thread-inside' => ['' => $size - 1.05 * ($pitch ?? 1.5), 'over-5' => 5 * ($pitch ?? 1.5)],
                'keyway-shaft' => ['' => $size, 'from-top' => $second ?? 4, 'round' => 4 * $size],
                'keyway-hub' => ['' => $size, 'across' => 4 * $size + ($second ?? 3), 'round' => 4 * $size],
                'groove-outside', 'groove-inside' => ['' => $size, 'width' => 1.3 + ($seed % 3)],
                'flat' => ['across' => 0.9 * $size, 'round' => $size],
                'teeth' => ['' => $size, 'span-3' => 0.13 * $size],
                'hole-pattern' => $i % 2 === 0
                    ? ['over-pins' => $size * sin(M_PI / max(2, $count ?? 4)) + 6, 'pin' => 6]
                    : ['near-edges' => $size * sin(M_PI / max(2, $count ?? 4)) - ($second ?? 6), 'hole' => $second ?? 6],
                'spline' => ['' => $size, 'minor' => 0.85 * $size, 'tooth' => 0.15 * $size],
                'radius', 'angle', 'chamfer-outside', 'chamfer-inside' => ['' => $size],
                default => [],
            };
            foreach ($dimensions as $what => $mm) {
                $facts['readings'][] = self::reading($facts, $surface, $what, $mm + 0.003);
            }
        }
        foreach ($facts['readings'] as $i => $reading) {
            $facts['readings'][$i] = [
                ...$reading,
                'worn' => $i % 9 === 4 ? true : $reading['worn'],
                'set_aside' => $i % 17 === 11 ? 'the gauge slipped' : null,
                'part_c' => $i % 5 === 2 ? 27.0 : null,
                'gauge_c' => $i % 5 === 2 ? 22.0 : null,
                'correction_mm' => $i % 13 === 6 ? -0.002 : null,
            ];
        }

        return $facts;
    }

    /**
     * Each surface is asked for something of its own, joints and loops for other limits than the table's.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function asked(array $facts, int $seed): array
    {
        $facts = self::noted($facts, $seed);
        foreach (array_keys($facts['surfaces']) as $i) {
            [$kind, $plus, $minus, $class] = self::DEMANDS[($i + $seed) % count(self::DEMANDS)];
            $facts['surfaces'][$i]['demand'] = [
                'kind' => $kind,
                'plus' => $plus === null ? null : self::mm((float) $plus),
                'minus' => $minus === null ? null : self::mm((float) $minus),
                'class' => $class,
            ];
        }
        foreach (array_keys($facts['joints']) as $i) {
            $at = $i + $seed;
            $facts['joints'][$i] = [
                ...$facts['joints'][$i],
                'least' => $at % 3 === 0 ? self::mm(-0.03) : null,
                'most' => $at % 3 === 0 ? self::mm(0.01 * ($at % 2)) : null,
                'school' => [null, 'inch', 'thumb', 'iso'][$at % 4],
                'needs_torque_nm' => $at % 2 === 0 ? 40.0 : null,
                'finish_in_place' => [null, true, false][$at % 3],
                'load_n' => 1500.0,
                'speed_rpm' => 200.0,
                'outer_c' => $at % 4 === 1 ? 80.0 : null,
                'inner_c' => $at % 4 === 1 ? 95.0 : null,
                'asked' => [['moves' => 'turns', 'warm' => 'hot'], ['moves' => 'stays', 'apart' => 'never', 'held' => 'fit', 'carries' => 'some'], []][$at % 3],
                'held' => $at % 3 === 1 ? [[
                    'kind' => ['bolts', 'cross-pin', 'set-screws'][$at % 3], 'size' => self::mm(8), 'size2' => null, 'long' => self::mm(20), 'circle' => self::mm(60),
                    'count' => 4, 'tighten_nm' => null, 'half_angle_deg' => null, 'material' => null, 'grade' => '8.8', 'turns' => 'oiled',
                ]] : [],
                'first' => [null, 'inner', 'outer'][$at % 3],
                'bearing' => str_starts_with($facts['joints'][$i]['purpose'], 'bearing') ? [
                    'designation' => ['6205', '6206-2RS', '6006'][$seed % 3], 'bore_mm' => null, 'outside_mm' => null, 'width_mm' => null,
                    'turning' => $at % 2 === 0 ? 'inner' : 'outer', 'load' => ['light', 'normal', 'heavy'][$at % 3], 'housing' => 'solid', 'inner_warmer_k' => 10.0,
                ] : null,
            ];
        }
        foreach (array_keys($facts['loops']) as $i) {
            $facts['loops'][$i]['least'] = self::mm(0.1);
            $facts['loops'][$i]['most'] = ($i + $seed) % 3 === 0 ? null : self::mm(0.4);
        }

        return self::typedLengths($facts, $seed, false);
    }

    /**
     * What no surface gives to a loop is typed, so that it closes somewhere near what is wanted: all of it, or all but one.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function typedLengths(array $facts, int $seed, bool $all): array
    {
        $sketched = array_map(static fn (array $s): float => $s['sketch']['size'] ?? 10.0, array_column($facts['surfaces'], null, 'id'));
        foreach ($facts['loops'] as $i => $loop) {
            $rest = 0.25;
            $open = null;
            foreach ($loop['lengths'] as $at => $length) {
                $mm = $length['surface'] === null ? 8.0 + $at : $sketched[$length['surface']];
                if ($length['surface'] === null && $open === null) {
                    $open = $at;

                    continue;
                }
                $rest += ($length['opens'] ? -1 : 1) * $mm * (($length['counts_half'] ?? false) ? 0.5 : 1);
                if ($length['surface'] === null) {
                    $loop['lengths'][$at] = self::typedLength($length, $mm, $at + $seed);
                }
            }
            if ($open !== null && $all) {
                $mm = abs($rest) * (($loop['lengths'][$open]['counts_half'] ?? false) ? 2 : 1);
                $loop['lengths'][$open] = [...self::typedLength($loop['lengths'][$open], $mm, $seed), 'opens' => $rest > 0];
            }
            $facts['loops'][$i] = $loop;
        }

        return $facts;
    }

    /**
     * @param  array<string, mixed>  $length
     * @return array<string, mixed>
     */
    private static function typedLength(array $length, float $mm, int $at): array
    {
        return [
            ...$length,
            'size' => self::mm(max(0.1, $mm)),
            'plus' => self::mm(0.05),
            'minus' => self::mm($at % 2 === 0 ? 0.05 : 0.02),
            'spread' => ['uniform', 'normal', 'triangular'][$at % 3],
            'in_use_c' => $at % 3 === 0 ? 60.0 : null,
            'material' => $at % 3 === 0 ? 'low-carbon steel, cold drawn' : null,
            'reserve_least' => $at % 4 === 1 ? self::mm(0.4) : null,
            'reserve_most' => $at % 4 === 1 ? self::mm(1.5) : null,
            'origin' => ['plan', 'bought', 'there'][$at % 3],
        ];
    }

    /**
     * Every number that is asked for has been cut: most inside their limits, some past them, some not there yet.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function made(array $facts, int $seed): array
    {
        $facts = self::typedLengths($facts, $seed, true);
        $facts['cuts'] = [];
        // Twice: what is cut first says what the other side comes to.
        foreach ([0, 1] as $round) {
            foreach (JobAnswers::of(JobFacts::fromArray($facts))->make as $i => $entry) {
                $logged = array_filter($facts['cuts'], static fn (array $c): bool => $c['surface'] === $entry->surface->id && $c['phase'] === $entry->phase->value);
                if ($entry->band === null || $logged !== []) {
                    continue;
                }
                $way = $entry->surface->grows() ? 1 : -1;
                $off = match (($i + $seed) % 6) {
                    3 => $way * ($entry->band->widthMm() + 0.02),
                    5 => -$way * ($entry->band->widthMm() + 0.2),
                    default => 0.1 * $entry->band->widthMm(),
                };
                foreach ([-$way * 0.8, 0.0] as $before) {
                    $facts['cuts'][] = [
                        ...self::cut($facts, $entry->surface->id, $entry->phase, $entry->band->middleMm() + $off + $before),
                        'dialled' => $before === 0.0 ? self::typed($facts, 0.8) : null,
                    ];
                }
            }
        }

        return $facts;
    }

    /**
     * Made, stripped in some order, put together, checked and run.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function assembled(array $facts, int $seed): array
    {
        $facts = self::made(self::read($facts, $seed), $seed + 1);
        foreach ($facts['joints'] as $i => $joint) {
            foreach ([5.0, 15.0, 30.0] as $step => $depth) {
                $facts['pushes'][] = ['id' => "push-{$i}-{$step}", 'joint' => $joint['id'], 'depth' => self::typed($facts, $depth), 'force_n' => 900.0 * ($i + $step + 1), 'at' => null];
            }
            $isLength = array_column($facts['surfaces'], 'kind', 'id')[$joint['inner']] === 'length';
            $facts['trials'][] = [
                'id' => "trial-{$i}", 'joint' => $joint['id'], 'loop' => null, 'cut' => self::lastCut($facts, [$joint['inner'], $joint['outer']]),
                'seen' => $isLength ? ['binds', 'gap'][$seed % 2] : ["won't enter", 'starts', 'half way by hand', 'slides', 'drops in'][($i + $seed) % 5],
                'amount' => $isLength ? self::typed($facts, 0.15) : null, 'turn' => null, 'pitch' => null, 'note' => '', 'at' => null,
            ];
        }
        foreach ($facts['loops'] as $i => $loop) {
            $facts['trials'][] = [
                'id' => "tried-{$i}", 'joint' => null, 'loop' => $loop['id'], 'cut' => self::lastCut($facts, array_column($loop['lengths'], 'surface')), 'seen' => ['binds', 'gap'][($i + $seed) % 2],
                'amount' => ($i + $seed) % 2 === 0 ? null : self::typed($facts, 0.3), 'turn' => ($i + $seed) % 2 === 0 ? 0.125 : null, 'pitch' => ($i + $seed) % 2 === 0 ? self::typed($facts, 1.5) : null, 'note' => '', 'at' => null,
            ];
        }
        $parts = array_column($facts['parts'], 'id');
        $strip = static fn (string $part, string $how): array => ['part' => $part, 'name' => '', 'how' => $how, 'force_n' => $how === 'pressed' ? 20000.0 : null, 'heat_c' => $how === 'heated' ? 120.0 : null, 'depth' => null, 'mark' => 'I', 'bag' => '', 'photo' => null, 'note' => ''];
        $facts['assembly'] = [
            'strip' => array_map($strip, $parts, array_slice(['by hand', 'pressed', 'heated', 'drawn', 'came broken', 'cut off'], 0, count($parts))),
            'conditions' => count($parts) < 3 ? [] : [['id' => 'c-1', 'kind' => ['before', 'blocks', 'covers', 'loose until', 'reached before'][$seed % 5], 'part' => $parts[2], 'other' => $parts[0], 'note' => '']],
            'order' => [],
            'checks' => [['id' => 'k-1', 'name' => 'Turns free', 'unit' => 'Nm', 'least' => '0.1', 'most' => '0.4', 'found' => ['0.2', '0.6', ''][$seed % 3], 'note' => '']],
            'runs' => [['minute' => 1, 'rpm' => 300, 'celsius' => 24, 'note' => ''], ['minute' => 10, 'rpm' => 600, 'celsius' => 30 + 12 * ($seed % 3), 'note' => '']],
            'setbacks' => [],
            'limit_c' => 50,
        ];
        $facts['clearances'] = [[
            'id' => 'room', 'name' => 'Rim beside the arm', 'travel' => ['swing', 'slide', 'still'][$seed % 3], 'arm' => self::mm(60), 'mover' => self::mm(20),
            'from_deg' => -40, 'to_deg' => 60, 'from' => self::mm(-80), 'to' => self::mm(30), 'other' => $seed % 2 === 0 ? 'round' : 'wall',
            'x' => self::mm($seed % 4 < 2 ? 78 : 40), 'y' => self::mm(4), 'other_size' => self::mm(14), 'doubt' => self::mm(0.3), 'least' => self::mm(2),
        ]];
        foreach (JobAnswers::of(JobFacts::fromArray($facts))->plan as $i => $step) {
            if (($i + $seed) % 3 !== 0) {
                $facts['ticks'][] = ['id' => "tick-{$i}", 'code' => $step->code, 'at' => null];
            }
        }
        $facts['operations'] = [['id' => 'o-1', 'name' => 'Turn', 'setup_min' => 20, 'run_min' => 12, 'spent_min' => 41, 'running_since' => null], ['id' => 'o-2', 'name' => 'Fit', 'setup_min' => 5, 'run_min' => 30, 'spent_min' => null, 'running_since' => null]];
        $facts['costs'] = [['id' => 'm-1', 'kind' => 'material', 'name' => 'Bar', 'amount' => null, 'each_piece' => true, 'price_per_kg' => 9, 'mass_kg' => null], ['id' => 'm-2', 'kind' => 'outside work', 'name' => 'Grinding', 'amount' => 35, 'each_piece' => false, 'price_per_kg' => null, 'mass_kg' => null]];
        $facts['quote'] = ['bought_price' => 120, 'bought_lead_days' => 14, 'alternative' => '', 'decided' => 'take', 'reason' => '', 'first_of_its_kind' => $seed % 2 === 0];

        return $facts;
    }

    /**
     * Four of it, three cut, one of them scrap, each to a mate of its own.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function batch(array $facts, int $seed): array
    {
        $facts['take_in']['quantity'] = 4;
        $facts['cuts'] = [];
        $mates = [];
        foreach (array_slice($facts['joints'], 0, 1) as $joint) {
            $mate = array_column($facts['surfaces'], null, 'id')[$joint['outer']];
            foreach (['A', 'B', 'C', 'D'] as $i => $mark) {
                $mates[] = ['mark' => $mark, 'joint' => $joint['id'], 'size' => self::typed($facts, ($mate['sketch']['size'] ?? 20) + 0.007 * $i), 'instrument' => 'three-point'];
            }
        }
        $facts['batch'] = ['piece' => 3, 'every' => 2, 'scrapped' => [2], 'mates' => $mates];
        foreach (JobAnswers::of(JobFacts::fromArray($facts))->make as $i => $entry) {
            foreach ($entry->band === null ? [] : [1, 2, 3] as $piece) {
                $facts['cuts'][] = [
                    ...self::cut($facts, $entry->surface->id, $entry->phase, $entry->band->middleMm() + ($piece - 2 + ($i + $seed) % 2) * 0.3 * $entry->band->widthMm()),
                    'piece' => $piece,
                ];
            }
        }

        return $facts;
    }

    /**
     * Somebody can be hurt; every third one is accepted.
     *
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function withheld(array $facts, int $seed): array
    {
        $facts = self::noted($facts, $seed + 2);
        $facts['take_in']['gates'] = ['lifting'];
        $facts['take_in']['acceptances'] = $seed % 3 === 0 ? [['by' => 'The shop', 'capacity' => 'owner', 'at' => null, 'gates' => ['lifting']]] : [];

        return $facts;
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  array<string, mixed>  $surface
     * @return array<string, mixed>
     */
    private static function reading(array $facts, array $surface, string $what, float $mm): array
    {
        return [
            'id' => "{$surface['id']}-{$what}", 'surface' => $surface['id'], 'station' => '1', 'angle' => '0', 'value' => self::typed($facts, $mm), 'was' => null,
            'instrument' => 'calliper', 'part_c' => null, 'gauge_c' => null, 'worn' => null, 'set_aside' => null, 'remark' => null, 'taken_at' => null,
            'correction_mm' => null, 'state' => 'before', 'what' => $what,
        ];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function cut(array $facts, string $surface, Phase $phase, float $mm): array
    {
        return [
            'id' => 'cut-'.count($facts['cuts']), 'surface' => $surface, 'phase' => $phase->value, 'dialled' => null, 'after' => self::typed($facts, max(0.1, $mm)),
            'instrument' => 'outside-micrometer', 'part_c' => null, 'set_aside' => null, 'at' => null,
        ];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  list<string|null>  $surfaces
     */
    private static function lastCut(array $facts, array $surfaces): ?string
    {
        $cuts = array_filter($facts['cuts'], static fn (array $c): bool => in_array($c['surface'], $surfaces, true));

        return $cuts === [] ? null : end($cuts)['id'];
    }

    /**
     * @param  array<string, string>  $figures
     * @return array<string, mixed>
     */
    private static function machine(string $kind, array $figures): array
    {
        return ['id' => $kind, 'kind' => $kind, 'name' => ucfirst($kind), 'unit' => 'mm', 'figures' => $figures];
    }

    /** @return array{typed: string, unit: string} */
    private static function mm(float $mm): array
    {
        return ['typed' => (string) round($mm, 3), 'unit' => 'mm'];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array{typed: string, unit: string}
     */
    private static function typed(array $facts, float $mm): array
    {
        return ['typed' => $facts['unit'] === 'in' ? number_format($mm / 25.4, 4, '.', '') : number_format($mm, 3, '.', ''), 'unit' => $facts['unit']];
    }
}
