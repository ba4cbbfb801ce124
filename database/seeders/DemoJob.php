<?php

declare(strict_types=1);

namespace Database\Seeders;

use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;

/** Builds a demo job as a person would: laid out, measured, cut, ticked. */
final class DemoJob
{
    /** @var array<string, mixed> */
    private array $facts;

    private int $next = 0;

    public function __construct(private readonly string $id, string $kind, string $machine, string $part, ShopFacts $shop)
    {
        $this->facts = JobFile::toArray(Kind::named($kind)->layOut($id, $machine, $part, Unit::Inch, $shop, $this->newId(...), true));
        $this->facts['reckonings'] = [];
    }

    /** @param  array<string, mixed>  $takeIn */
    public function takenIn(array $takeIn): self
    {
        $this->facts['take_in'] = [...$this->facts['take_in'], ...$takeIn];

        return $this;
    }

    /** @param  array<string, string>  $materials by part name */
    public function materials(array $materials): self
    {
        foreach ($this->facts['parts'] as &$part) {
            $part['material'] = $materials[$part['name']] ?? null;
        }

        return $this;
    }

    /**
     * @param  array<string, mixed>  $changes
     *
     * @phpstan-impure
     */
    public function surfaceIs(string $name, array $changes): self
    {
        foreach ($this->facts['surfaces'] as &$surface) {
            $surface = $surface['name'] === $name ? [...$surface, ...$changes] : $surface;
        }

        return $this;
    }

    /**
     * Sizes as noted from a drawing, a rule or a similar part: what was typed, and where it comes from.
     *
     * @param  array<string, array<string, string>>  $sizes  by surface, then by field
     */
    public function noted(string $source, array $sizes, string $unit = 'mm'): self
    {
        foreach ($sizes as $name => $fields) {
            $this->surfaceIs($name, ['source' => $source, ...array_map(static fn (string $typed): array => ['typed' => $typed, 'unit' => $unit], $fields)]);
        }

        return $this;
    }

    /** @param  array<string, mixed>  $changes */
    public function partIs(string $name, array $changes): self
    {
        foreach ($this->facts['parts'] as &$part) {
            $part = $part['name'] === $name ? [...$part, ...$changes] : $part;
        }

        return $this;
    }

    /** @param  array<string, string>  $evidence note by kind */
    public function known(array $evidence): self
    {
        foreach ($evidence as $kind => $note) {
            $this->facts['evidence'][] = ['id' => $this->newId(), 'kind' => $kind, 'note' => $note];
        }

        return $this;
    }

    /** @param  array<string, mixed>  $quote */
    public function quoted(array $quote): self
    {
        $this->facts['quote'] = [...$this->facts['quote'], ...$quote];

        return $this;
    }

    public function waits(string $for, string $until, string $note): self
    {
        $this->facts['waits'] = ['for' => $for, 'until' => $until, 'note' => $note];

        return $this;
    }

    /** @param  list<array{string, string, string}>  $readings station, angle, what was typed */
    public function read(string $surface, string $instrument, array $readings): self
    {
        foreach ($readings as [$station, $angle, $typed]) {
            $this->facts['readings'][] = [
                'id' => $this->newId(), 'surface' => $this->surface($surface), 'station' => $station, 'angle' => $angle,
                'value' => ['typed' => $typed, 'unit' => 'in'], 'was' => null, 'instrument' => $instrument, 'part_c' => null, 'gauge_c' => null,
                'worn' => null, 'set_aside' => null, 'remark' => null, 'taken_at' => '2026-11-09T09:30:00Z',
            ];
        }

        return $this;
    }

    /**
     * One dimension of a shape, read as often as wanted.
     *
     * @param  list<string>  $values
     */
    public function dimension(string $surface, string $what, string $instrument, array $values): self
    {
        foreach ($values as $value) {
            $this->read($surface, $instrument, [['1', '0', $value]]);
            $last = array_key_last($this->facts['readings']);
            $this->facts['readings'][$last] = [...$this->facts['readings'][$last], 'what' => $what];
        }

        return $this;
    }

    /** @param  list<array{?string, string}>  $cuts what was dialled and the size after */
    public function cut(string $surface, string $phase, string $instrument, array $cuts): self
    {
        foreach ($cuts as [$dialled, $after]) {
            $this->facts['cuts'][] = [
                'id' => $this->newId(), 'surface' => $this->surface($surface), 'phase' => $phase,
                'dialled' => $dialled === null ? null : ['typed' => $dialled, 'unit' => 'in'], 'after' => ['typed' => $after, 'unit' => 'in'],
                'instrument' => $instrument, 'part_c' => null, 'set_aside' => null, 'at' => '2026-11-10T14:00:00Z',
            ];
        }

        return $this;
    }

    /** @param  array<int, string>  $sizes  by number of the piece, as measured when it was done */
    public function pieces(string $surface, string $instrument, array $sizes): self
    {
        foreach ($sizes as $piece => $size) {
            $this->cut($surface, 'only', $instrument, [[null, $size]]);
            $this->facts['cuts'][count($this->facts['cuts']) - 1]['piece'] = $piece;
        }

        return $this;
    }

    /** @param  array<string, string>  $mates  size by mark */
    public function mates(string $joint, string $instrument, array $mates, int $piece): self
    {
        $of = array_column($this->facts['joints'], 'id', 'name')[$joint];
        $this->facts['batch'] = ['piece' => $piece, 'every' => 1, 'scrapped' => [], 'mates' => array_map(
            static fn (string $mark, string $size): array => ['mark' => $mark, 'joint' => $of, 'size' => ['typed' => $size, 'unit' => 'in'], 'instrument' => $instrument],
            array_keys($mates),
            array_values($mates),
        )];

        return $this;
    }

    /**
     * How it came apart, and what the order has to keep to; parts by their names.
     *
     * @param  list<array<string, mixed>>  $strip
     * @param  list<array{string, string, string, string}>  $conditions  this part, what, that part, because
     * @param  array<string, mixed>  $more
     */
    public function cameApart(array $strip, array $conditions, array $more = []): self
    {
        $parts = array_column($this->facts['parts'], 'id', 'name');
        $this->facts['assembly'] = [
            'strip' => array_map(static fn (array $off): array => [
                'how' => 'by hand', 'force_n' => null, 'heat_c' => null, 'depth' => null, 'mark' => '', 'bag' => '', 'note' => '',
                ...$off, 'part' => $parts[$off['name']],
            ], $strip),
            'conditions' => array_map(fn (array $c): array => [
                'id' => $this->newId(), 'part' => $parts[$c[0]], 'kind' => $c[1], 'other' => $parts[$c[2]], 'note' => $c[3],
            ], $conditions),
            'order' => [], 'checks' => [], 'runs' => [], 'limit_c' => null,
            ...$more,
        ];

        return $this;
    }

    public function allIn(): self
    {
        return $this->ticked(array_values(array_map(static fn (array $part): string => "in:{$part['id']}", $this->facts['parts'])));
    }

    /** @param  array<string, mixed>  $changes */
    public function joint(string $name, array $changes): self
    {
        foreach ($this->facts['joints'] as &$joint) {
            $joint = $joint['name'] === $name ? [...$joint, ...$changes] : $joint;
        }

        return $this;
    }

    /**
     * A loop of this name as the kind lays it out, or a new one, filled in.
     *
     * @param  list<array{string, bool, array<string, mixed>}>  $lengths  name, whether it opens the gap, and what is known of it; `surface` by its name, sizes as typed in inches
     * @param  array<string, mixed>  $more
     */
    public function loop(string $name, ?string $least, ?string $most, array $lengths, array $more = []): self
    {
        $inch = static fn (?string $typed): ?array => $typed === null ? null : ['typed' => $typed, 'unit' => 'in'];
        $ids = array_column($this->facts['surfaces'], 'id', 'name');
        $loop = ['id' => $this->named($name), 'name' => $name, 'least' => $inch($least), 'most' => $inch($most), 'lengths' => array_map(static fn (array $l): array => [
            'surface' => isset($l[2]['surface']) ? $ids[$l[2]['surface']] : null, 'size' => $inch($l[2]['size'] ?? null), 'plus' => $inch($l[2]['limits'] ?? null), 'minus' => $inch($l[2]['limits'] ?? null),
            'reserve_least' => $inch($l[2]['from'] ?? null), 'reserve_most' => $inch($l[2]['to'] ?? null), ...array_diff_key($l[2], array_flip(['surface', 'size', 'limits', 'from', 'to'])), 'name' => $l[0], 'opens' => $l[1],
        ] + ['spread' => 'uniform'], $lengths), ...$more];
        $this->facts['loops'] = [...array_filter($this->facts['loops'], static fn (array $l): bool => $l['name'] !== $name), $loop];

        return $this;
    }

    /**
     * Something that has to clear, as the kind lays it out or new; sizes as typed in inches.
     *
     * @param  array<string, mixed>  $sizes
     */
    public function clears(string $name, array $sizes): self
    {
        $typed = static fn (mixed $value): mixed => is_string($value) ? ['typed' => $value, 'unit' => 'in'] : $value;
        $this->facts['clearances'] = [...array_filter($this->facts['clearances'], static fn (array $c): bool => $c['name'] !== $name), [
            'arm' => null, 'mover' => null, 'from_deg' => null, 'to_deg' => null, 'from' => null, 'to' => null, 'x' => null, 'y' => null, 'other_size' => null, 'doubt' => null, 'least' => null,
            ...array_map($typed, array_diff_key($sizes, ['travel' => 0, 'other' => 0])), 'travel' => $sizes['travel'], 'other' => $sizes['other'], 'id' => $this->named($name), 'name' => $name,
        ]];

        return $this;
    }

    /**
     * A sum of the job; surfaces by their names.
     *
     * @param  array<string, string>  $given  as typed
     * @param  array{unit?: string, from?: array<string, string>, gives?: array<string, string>, rounds?: list<array{string, array<string, string>}>, note?: string}  $more  rounds as what was done after, and what was typed then
     */
    public function reckoned(string $name, string $sum, array $given, array $more = []): self
    {
        $ids = array_column($this->facts['surfaces'], 'id', 'name');
        $linked = static fn (array $links): array => array_map(static fn (string $surface): string => $ids[$surface], $links);
        $this->facts['reckonings'][] = [
            'id' => $this->named($name), 'sum' => $sum, 'name' => $name, 'given' => $given, 'unit' => $more['unit'] ?? 'mm', 'from' => $linked($more['from'] ?? []),
            'gives' => $linked($more['gives'] ?? []), 'note' => $more['note'] ?? '',
            'rounds' => array_map(static fn (array $round): array => ['given' => $round[1], 'at' => '', 'note' => $round[0]], $more['rounds'] ?? []),
        ];

        return $this;
    }

    /** A length typed in a loop that was wrong; the loop has the right one. */
    public function wasWrong(string $loop, string $length, string $old, string $new, string $cause, string $note): self
    {
        $this->facts['mistakes'][] = [
            'id' => $this->newId(), 'surface' => null, 'loop' => $this->named($loop), 'length' => $length, 'old' => ['typed' => $old, 'unit' => 'in'], 'new' => ['typed' => $new, 'unit' => 'in'],
            'readings' => [], 'cause' => $cause, 'note' => $note, 'at' => '2026-11-12T11:20:00Z',
        ];

        return $this;
    }

    /** Only what is filled in of the loops and clearances that the kind lays out. */
    public function nothingOpen(): self
    {
        $this->facts['loops'] = array_values(array_filter($this->facts['loops'], fn (array $l): bool => str_starts_with($l['id'], $this->id.'-') && ! ctype_digit(substr($l['id'], strlen($this->id) + 1))));
        $this->facts['clearances'] = array_values(array_filter($this->facts['clearances'], fn (array $c): bool => ! ctype_digit(substr($c['id'], strlen($this->id) + 1))));

        return $this;
    }

    /** @param  list<string>  $names  of parts and surfaces that this job does not have, with what hangs on them */
    public function notHere(array $names): self
    {
        $parts = array_column(array_filter($this->facts['parts'], static fn (array $p): bool => in_array($p['name'], $names, true)), 'id');
        $gone = array_column(array_filter($this->facts['surfaces'], static fn (array $s): bool => in_array($s['name'], $names, true) || in_array($s['part'], $parts, true)), 'id');
        $without = static fn (array $rows, string $field, array $ids): array => array_values(array_filter($rows, static fn (array $r): bool => ! in_array($r[$field], $ids, true)));
        $this->facts['parts'] = $without($this->facts['parts'], 'id', $parts);
        $this->facts['surfaces'] = $without($this->facts['surfaces'], 'id', $gone);
        $this->facts['joints'] = $without($without($this->facts['joints'], 'inner', $gone), 'outer', $gone);

        return $this;
    }

    public function jointNotHere(string $name): self
    {
        $this->facts['joints'] = array_values(array_filter($this->facts['joints'], static fn (array $j): bool => $j['name'] !== $name));

        return $this;
    }

    /** @param  array<string, mixed>  $more */
    public function more(string $part, string $name, string $kind, array $more): self
    {
        $parts = array_column($this->facts['parts'], 'id', 'name');
        $blank = array_fill_keys(array_keys($this->facts['surfaces'][0]), null);
        $this->facts['surfaces'][] = [...$blank, 'stations' => [], 'angles' => [], 'datum' => false, ...$more, 'id' => $this->newId(), 'part' => $parts[$part], 'name' => $name, 'kind' => $kind];

        return $this;
    }

    /** @param  list<array{string, string, string, bool}>  $readings station, angle, what was typed, whether the spot is worn */
    public function readAs(string $surface, string $instrument, string $state, array $readings): self
    {
        foreach ($readings as [$station, $angle, $typed, $worn]) {
            $this->read($surface, $instrument, [[$station, $angle, $typed]]);
            $last = count($this->facts['readings']) - 1;
            $this->facts['readings'][$last] = [...$this->facts['readings'][$last], 'worn' => $worn, 'state' => $state];
        }

        return $this;
    }

    /** The last cut of a surface was taken as it is. */
    public function accepted(string $surface, string $by, string $why): self
    {
        $of = $this->surface($surface);
        $cuts = array_filter($this->facts['cuts'], static fn (array $c): bool => $c['surface'] === $of);
        $this->facts['concessions'][] = [
            'id' => $this->newId(), 'surface' => $of, 'phase' => 'only', 'joint' => null, 'loop' => null, 'cut' => end($cuts)['id'] ?? null,
            'decision' => 'accepted', 'by' => $by, 'why' => $why, 'at' => '2026-11-12T09:00:00Z',
        ];

        return $this;
    }

    /** @param  array<string, mixed>  $seen */
    public function tried(string $loop, array $seen): self
    {
        $this->facts['trials'][] = ['id' => $this->newId(), 'joint' => null, 'loop' => $this->named($loop), 'cut' => end($this->facts['cuts'])['id'] ?? null, 'amount' => null, 'turn' => null, 'pitch' => null, 'at' => '2026-11-13T15:00:00Z', ...$seen];

        return $this;
    }

    /** An id that stays the same from one demo to the next. */
    private function named(string $name): string
    {
        return substr($this->id.'-'.trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($name)), '-'), 0, 40);
    }

    /** @param  list<string>  $codes */
    public function ticked(array $codes): self
    {
        foreach ($codes as $code) {
            $this->facts['ticks'][] = ['id' => $this->newId(), 'code' => $code, 'at' => '2026-11-11T10:00:00Z', 'remark' => null];
        }

        return $this;
    }

    public function handedOver(string $at, string $nextTime): self
    {
        $this->facts['hand_over'] = ['finished_at' => $at, 'next_time' => $nextTime];

        return $this;
    }

    public function facts(): JobFacts
    {
        return JobFacts::fromArray($this->facts);
    }

    private function surface(string $name): string
    {
        return array_column($this->facts['surfaces'], 'id', 'name')[$name];
    }

    private function newId(): string
    {
        return $this->id.'-'.++$this->next;
    }
}
