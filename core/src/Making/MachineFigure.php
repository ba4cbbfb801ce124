<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/** One figure of a machine: a length, a force, a number, or one of a few words. */
final readonly class MachineFigure
{
    /**
     * In newtons. “tons” are those of 2240 lb, as presses of inch shops are rated; t is the metric tonne. Source: BIPM
     * SI brochure, NIST SP 811.
     */
    private const FORCES = [
        'n' => 1.0,
        'kn' => 1000.0,
        't' => 9806.65,
        'tonne' => 9806.65,
        'tonnes' => 9806.65,
        'lb' => 4.4482216,
        'lbf' => 4.4482216,
        'ton' => 9964.016,
        'tons' => 9964.016,
    ];

    /** @param  list<string>  $words */
    private function __construct(
        public string $field,
        public string $label,
        private string $is,
        public array $words,
    ) {
    }

    /** @param  array{field: string, label: string, is: string, of?: list<string>}  $row */
    public static function of(array $row): self
    {
        return new self($row['field'], $row['label'], $row['is'], $row['of'] ?? []);
    }

    public function isLength(): bool
    {
        return $this->is === 'length';
    }

    /**
     * @return float|string mm, N, °C; or the word
     *
     * @throws BadInput in words that name the figure
     */
    public function read(string $typed, Unit $unit): float|string
    {
        $text = trim($typed);

        return match ($this->is) {
            'length' => $this->above(LengthReader::read($text, $unit)->length->mm),
            'force' => $this->above($this->force($text)),
            'choice' => in_array($text, $this->words, true)
                ? $text
                : throw $this->bad('is one of: '.implode(', ', $this->words).'.'),
            default => $this->number($text),
        };
    }

    private function above(float $value): float
    {
        return $value > 0 ? $value : throw $this->bad('is above zero. Leave it empty where it is not known.');
    }

    private function force(string $text): float
    {
        if (preg_match('/^(\d+(?:[.,]\d+)?)\s*([a-z]*)$/iu', $text, $m) !== 1) {
            throw $this->bad('is a number and its unit, such as 9 kN, 20 t or 20 tons.');
        }
        $factor = self::FORCES[$m[2] === '' ? 'n' : mb_strtolower($m[2])]
            ?? throw $this->bad("“{$m[2]}” is no unit of force known here: N, kN, t, tons or lbf.");

        return (float) str_replace(',', '.', $m[1]) * $factor;
    }

    private function number(string $text): float
    {
        $plain = str_replace([',', '−'], ['.', '-'], $text);

        return preg_match('/^[-+]?\d{1,5}(\.\d+)?$/', $plain) === 1
            ? (float) $plain
            : throw $this->bad('is a number.');
    }

    private function bad(string $rest): BadInput
    {
        return new BadInput('bad-figure', $this->field, "“{$this->label}” {$rest}");
    }
}
