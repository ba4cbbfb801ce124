<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\JobFacts;

/** A register in a wheel's bore of 40.000, wanted 0.010 to 0.040 clear, and nothing else of the axle. */
final class SampleAxle
{
    use KindJob;

    /** @var array<string, mixed> */
    public array $facts = [];

    public function __construct(string $purpose = 'hand-fit', ?string $metal = null, bool $own = true)
    {
        $this->job('flanged-axle');
        $keep = static fn (array $rows, string ...$names): array => array_values(
            array_filter($rows, static fn (array $r): bool => in_array($r['name'], $names, true)),
        );
        $this->facts['parts'] = array_map(
            static fn (array $part): array => [...$part, 'material' => $metal],
            $keep($this->facts['parts'], 'Wheel', 'Axle'),
        );
        $this->facts['surfaces'] = $keep($this->facts['surfaces'], 'Wheel bore', 'Register');
        $this->facts['joints'] = $keep($this->facts['joints'], 'Wheel on the register');
        $this->facts['loops'] = $this->facts['clearances'] = $this->facts['reckonings'] = [];
        $limits = ['least' => ['typed' => '0.010', 'unit' => 'mm'], 'most' => ['typed' => '0.040', 'unit' => 'mm'], 'reason' => 'a trial'];
        $this->facts['joints'][0] = [...$this->facts['joints'][0], 'purpose' => $purpose, ...($own ? $limits : [])];
        foreach (['mouth', 'middle', 'far end'] as $station) {
            foreach (['0', '90'] as $angle) {
                $this->read('Wheel bore', 'three-point', '40.000');
                $last = count($this->facts['readings']) - 1;
                $this->facts['readings'][$last] = [...$this->facts['readings'][$last], 'station' => $station, 'angle' => $angle];
            }
        }
    }

    /** The register as it was measured when a piece was done. */
    public function cut(string $size, int $piece = 1): self
    {
        $this->facts['cuts'][] = [
            'id' => "cut-{$piece}-".count($this->facts['cuts']), 'surface' => $this->id('Register'), 'phase' => 'only', 'dialled' => null,
            'after' => ['typed' => $size, 'unit' => 'mm'], 'instrument' => 'outside-micrometer', 'part_c' => null,
            'set_aside' => null, 'at' => null, 'piece' => $piece,
        ];

        return $this;
    }

    public function build(): JobFacts
    {
        return JobFacts::fromArray($this->facts);
    }

    /** @return array<string, mixed> as they are sent */
    public function answers(): array
    {
        return json_decode(json_encode(JobAnswers::of($this->build()), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);
    }
}
