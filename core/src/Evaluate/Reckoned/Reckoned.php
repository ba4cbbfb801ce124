<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Reckoned;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\ReckoningFacts;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Sum\Words;

/** A sum of the job worked out: what came of it, now and at each earlier round, or what it still wants. */
final readonly class Reckoned implements \JsonSerializable
{
    /** What stands beside the results. */
    private const BESIDE = ['notes', 'working', 'picture'];

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
        return self::says($this->facts->sum, $this->result);
    }

    /** @param  ?array<string, mixed>  $result */
    private static function says(string $sum, ?array $result): ?Say
    {
        foreach ($result ?? [] as $name => $value) {
            if (
                in_array($name, self::BESIDE, true) || ! (
                    is_float($value) || is_int($value) || is_string($value) || is_bool($value)
                )
            ) {
                continue;
            }
            $plain = preg_replace('/_[a-z0-9]+$/', '', $name) ?? $name;
            $label = Words::of($sum)[$name] ?? ucfirst(str_replace('_', ' ', $plain));
            $unit = match (true) {
                str_ends_with($name, '_deg') => '°',
                str_ends_with($name, '_kg') => ' kg',
                str_ends_with($name, '_n') => ' N',
                str_ends_with($name, '_gmm') => ' g mm',
                str_ends_with($name, '_rpm'), $name === 'rpm' => ' a minute',
                default => '',
            };

            return str_ends_with($name, '_mm') && ! is_string($value) && ! is_bool($value)
                ? Say::with("{$label} {s}", ['s' => LengthWriter::sizeInWords((float) $value)])
                : Say::plain($label.' '.match (true) {
                    is_bool($value) => $value ? 'yes' : 'no',
                    is_float($value) => (string) (float) sprintf('%.5g', $value),
                    default => (string) $value,
                }.$unit);
        }

        return null;
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
                    'result' => $round['result'] === null ? null : (object) array_diff_key($round['result'], array_flip(self::BESIDE)),
                    'headline' => self::says($this->facts->sum, $round['result']),
                ],
                $this->rounds,
            ),
        ];
    }
}
