<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/**
 * How it came apart, what its order has to keep to, what is checked once it is together, and the first run. Parts that
 * are no more in the job count for nothing.
 */
final readonly class AssemblyFacts implements \JsonSerializable
{
    private const MOST = 300;

    /**
     * @param  list<StripFacts>  $strip  in the order they came off
     * @param  list<PartCondition>  $conditions
     * @param  list<string>  $order  parts as somebody moved them; empty: as it came apart, backwards
     * @param  list<CheckFacts>  $checks
     * @param  list<RunFacts>  $runs
     */
    public function __construct(
        public array $strip = [],
        public array $conditions = [],
        public array $order = [],
        public array $checks = [],
        public array $runs = [],
        /** No warmer than that in the first run, °C; null: not said. */
        public ?float $limitC = null,
        /** @var list<SetbackFacts> what was done and was not right: kept when it is mended */
        public array $setbacks = [],
    ) {
    }

    public static function read(?Fields $f): self
    {
        if ($f === null) {
            return new self();
        }
        foreach (['strip', 'conditions', 'checks', 'runs', 'setbacks'] as $field) {
            if (count($f->objects($field)) > self::MOST) {
                throw $f->bad($field, 'has more than '.self::MOST.' entries.');
            }
        }

        return new self(
            strip: array_map(StripFacts::read(...), $f->objects('strip')),
            conditions: array_map(PartCondition::read(...), $f->objects('conditions')),
            order: $f->texts('order'),
            checks: array_map(CheckFacts::read(...), $f->objects('checks')),
            runs: array_map(RunFacts::read(...), $f->objects('runs')),
            limitC: $f->numberOrNull('limit_c'),
            setbacks: array_map(SetbackFacts::read(...), $f->objects('setbacks')),
        );
    }

    public function isEmpty(): bool
    {
        return $this == new self();
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'strip' => $this->strip,
            'conditions' => $this->conditions,
            'order' => $this->order,
            'checks' => $this->checks,
            'runs' => $this->runs,
            'limit_c' => $this->limitC,
            'setbacks' => $this->setbacks,
        ];
    }
}
