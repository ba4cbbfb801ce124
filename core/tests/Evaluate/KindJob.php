<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;

/** A job of some kind, read and said as a test wants it. */
trait KindJob
{
    /** @var array<string, mixed> */
    public array $facts = [];

    private int $next = 0;

    private function job(string $kind, Unit $unit = Unit::Millimetre): self
    {
        $id = fn (): string => 'id-'.++$this->next;
        $shop = new ShopFacts('Shop', 20.0, 0.01, 0.5, 2e4);
        $this->facts = JobFile::toArray(Kind::named($kind)->layOut('job', 'Rig', 'Part', $unit, $shop, $id, true));
        $this->facts['take_in'] = [...$this->facts['take_in'], 'failed' => 'worn', 'gates_answered' => true];

        return $this;
    }

    private function read(string $surface, string $tool, string $typed, string $what = '', string $state = 'before'): self
    {
        $this->facts['readings'][] = [
            'id' => 'r-'.++$this->next, 'surface' => $this->id($surface), 'station' => '1', 'angle' => '0',
            'value' => ['typed' => $typed, 'unit' => $this->facts['unit']], 'was' => null, 'instrument' => $tool,
            'part_c' => null, 'gauge_c' => null, 'worn' => null, 'set_aside' => null, 'remark' => null, 'taken_at' => null,
            'correction_mm' => null, 'state' => $state, 'what' => $what,
        ];

        return $this;
    }

    /** @param  array<string, mixed>  $changes */
    private function is(string $surface, array $changes): self
    {
        foreach ($this->facts['surfaces'] as $i => $one) {
            if ($one['name'] === $surface) {
                $this->facts['surfaces'][$i] = [...$one, ...$changes];
            }
        }

        return $this;
    }

    private function id(string $surface): string
    {
        return array_column($this->facts['surfaces'], 'id', 'name')[$surface];
    }

    private function answers(): JobAnswers
    {
        return JobAnswers::of(JobFacts::fromArray($this->facts));
    }

    private function card(string $name): MakeEntry
    {
        foreach ($this->answers()->make as $entry) {
            if ($entry->label === $name) {
                return $entry;
            }
        }
        self::fail("{$name} is not on the card.");
    }
}
