<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;

/**
 * A plain bush job built up step by step for tests; its numbers are invented, what is expected of them is worked by
 * hand.
 */
final class SampleJob
{
    /** @var array<string, mixed> */
    public array $facts;

    private int $next = 0;

    public function __construct(Unit $unit = Unit::Millimetre)
    {
        $shop = new ShopFacts('Test shop', 20.0, 0.01, 0.5, 10000.0);
        $this->facts = JobFile::toArray(
            Kind::named('plain-bush')->layOut(
                'job-1',
                'Test rig',
                'Bush',
                $unit,
                $shop,
                fn (): string => 'id-'.++$this->next,
                true,
            ),
        );
    }

    public static function measured(): self
    {
        $job = (new self())->answered()->materials();
        foreach (['0', '90'] as $angle) {
            foreach (['mouth', 'middle', 'far end'] as $station) {
                $job->read('Housing bore', '30.000', 'three-point', $station, $angle);
            }
            $job->read('Shaft journal', '22.000', 'outside-micrometer', 'middle', $angle);
        }

        return $job->read('Boss outside', '60', 'calliper')->read('Housing length', '40.00', 'depth-micrometer');
    }

    public function answered(): self
    {
        $this->facts['take_in'] = [...$this->facts['take_in'], 'failed' => 'worn oval', 'gates_answered' => true];

        return $this;
    }

    public function materials(
        string $housing = 'grey cast iron, ordinary',
        string $bush = 'leaded tin bronze (bearing)',
    ): self {
        foreach ($this->facts['parts'] as &$part) {
            $part['material'] = ['Housing' => $housing, 'Shaft' => 'medium-carbon steel, normalised', 'Bush' => $bush][
                $part['name']
            ];
        }

        return $this;
    }

    public function read(
        string $surface,
        string $typed,
        string $instrument,
        string $station = '1',
        string $angle = '0',
        ?float $partC = null,
    ): self {
        $this->facts['readings'][] = [
            'id' => 'r-'.++$this->next,
            'surface' => $this->surface($surface),
            'station' => $station,
            'angle' => $angle,
            'value' => ['typed' => $typed, 'unit' => $this->facts['unit']],
            'was' => null,
            'instrument' => $instrument,
            'part_c' => $partC,
            'gauge_c' => null,
            'worn' => null,
            'set_aside' => null,
            'remark' => null,
            'taken_at' => null,
        ];

        return $this;
    }

    public function cut(
        string $surface,
        string $phase,
        ?string $dialled,
        string $after,
        string $instrument = 'outside-micrometer',
        ?float $partC = null,
    ): self {
        $unit = $this->facts['unit'];
        $this->facts['cuts'][] = [
            'id' => 'c-'.++$this->next,
            'surface' => $this->surface($surface),
            'phase' => $phase,
            'dialled' => $dialled === null ? null : ['typed' => $dialled, 'unit' => $unit],
            'after' => ['typed' => $after, 'unit' => $unit],
            'instrument' => $instrument,
            'part_c' => $partC,
            'set_aside' => null,
            'at' => null,
        ];

        return $this;
    }

    /** @param  array<string, mixed>  $changes */
    public function joint(string $name, array $changes): self
    {
        foreach ($this->facts['joints'] as &$joint) {
            if ($joint['name'] === $name) {
                $joint = [...$joint, ...$changes];
            }
        }

        return $this;
    }

    /** Every round surface honed, so that next to nothing flattens. */
    public function finished(string $finish = 'honed'): self
    {
        foreach ($this->facts['surfaces'] as &$surface) {
            $surface['finish'] = in_array($surface['kind'], ['bore', 'shaft'], true) ? $finish : null;
        }

        return $this;
    }

    /** @param  array<string, mixed>  $changes */
    public function change(string $surface, array $changes): self
    {
        foreach ($this->facts['surfaces'] as &$s) {
            $s = $s['name'] === $surface ? [...$s, ...$changes] : $s;
        }

        return $this;
    }

    public function surface(string $name): string
    {
        return array_column($this->facts['surfaces'], 'id', 'name')[$name];
    }

    public function build(): JobFacts
    {
        return JobFacts::fromArray($this->facts);
    }
}
