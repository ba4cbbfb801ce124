<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Reckoned;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\ReckoningFacts;
use Oldpart\Core\Sum\ResultLines;

/** A sum of the job worked out: what came of it, now and at each earlier round, or what it still wants. */
final readonly class Reckoned implements \JsonSerializable
{
    /**
     * @param  ?array<string, mixed>  $result  as the sum gives it; null while something is missing
     * @param  ?array{field: string, message: string}  $refused
     * @param  array<string, array{surface: string, name: string, says: ?Say}>  $taken  by field, from the job
     * @param  list<array{at: string, note: string, result: ?array<string, mixed>, refused: ?string}>  $rounds
     */
    public function __construct(
        public ReckoningFacts $facts,
        public ?array $result,
        public ?array $refused,
        public array $taken,
        public array $rounds,
    ) {
    }

    /**
     * One result, by its name; of a list or a row by name, place and name, with points between.
     *
     * @return ?float mm; null where it is no length
     */
    public function lengthMm(string $path): ?float
    {
        $value = $this->result;
        $isLength = false;
        foreach (explode('.', $path) as $step) {
            $value = is_array($value) ? $value[$step] ?? null : null;
            $isLength = preg_match('/(^|_)mm$/', $step) === 1 || ($isLength && ctype_digit($step));
        }

        return $isLength && (is_float($value) || is_int($value)) ? (float) $value : null;
    }

    /** @return ?Say its first number in words, for a line of a list */
    public function headline(): ?Say
    {
        return ResultLines::headline($this->facts->sum, $this->result);
    }

    /** @return list<array{name: string, says: Say}> for paper */
    public function lines(): array
    {
        return ResultLines::of($this->facts->sum, $this->result ?? []);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->facts->id,
            'sum' => $this->facts->sum,
            'name' => $this->facts->name,
            'headline' => $this->headline(),
            'result' => $this->result === null ? null : (object) $this->result,
            'refused' => $this->refused,
            'taken' => (object) $this->taken,
            'rounds' => array_map(
                fn (array $round): array => [
                    ...$round,
                    'result' => $round['result'] === null ? null : (object) array_diff_key($round['result'], array_flip(ResultLines::BESIDE)),
                    'headline' => ResultLines::headline($this->facts->sum, $round['result']),
                ],
                $this->rounds,
            ),
        ];
    }
}
