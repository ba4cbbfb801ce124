<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Advice\Say;

/** One way to hold the joint: whether it can be done, what it makes, what it holds, what it costs. */
final readonly class JointWay implements \JsonSerializable
{
    /**
     * @param  array{code: string, name: string, purpose: string, put: string, ease: int, apart: string, tools: string, time: string, hazards: list<string>}  $row  of data/joint-ways.json
     * @param  array{int, int}  $rank  the least first: how much trouble it is, then how much speaks against it
     * @param  list<Say>  $against  why it can't be done, or not easily
     */
    public function __construct(
        public array $row,
        public bool $feasible,
        public array $rank,
        public Say $because,
        public array $against,
        public ?Say $makes,
        public ?Say $holds,
        public bool $chosen,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->row['code'],
            'name' => $this->row['name'],
            'purpose' => $this->row['purpose'],
            'feasible' => $this->feasible,
            'because' => $this->because,
            'against' => $this->against,
            'makes' => $this->makes,
            'holds' => $this->holds,
            'apart' => $this->row['apart'],
            'tools' => $this->row['tools'],
            'time' => $this->row['time'],
            'chosen' => $this->chosen,
        ];
    }
}
