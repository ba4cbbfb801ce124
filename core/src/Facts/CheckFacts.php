<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/**
 * What is checked once it is together: what is wanted, what was found. A number as typed, a length where its unit is
 * in or mm; empty: not said, or not found yet.
 */
final readonly class CheckFacts implements \JsonSerializable
{
    private const LONGEST = 60;

    private function __construct(
        public string $id,
        public string $name,
        public string $unit,
        public string $least,
        public string $most,
        public string $found,
        public string $note,
        public ?float $leastNumber,
        public ?float $mostNumber,
        public ?float $foundNumber,
    ) {
    }

    /** @throws BadInput for what is no number, or limits that are reversed */
    public static function read(Fields $f): self
    {
        $name = trim($f->text('name'));
        if ($name === '' || mb_strlen($name) > 200) {
            throw $f->bad('name', 'needs 1 to 200 letters: say what is checked.');
        }
        $unit = trim($f->label('unit'));
        $number = static function (string $field) use ($f, $unit): ?float {
            $text = trim($f->label($field));
            if ($text === '') {
                return null;
            }
            if (mb_strlen($text) > self::LONGEST) {
                throw $f->bad($field, 'has room for '.self::LONGEST.' letters. The rest goes into the note.');
            }
            $length = Unit::tryFrom($unit);
            if ($length !== null) {
                try {
                    return LengthReader::read($text, $length)->length->mm;
                } catch (BadInput $bad) {
                    throw $bad->about($f->bad($field, '')->field);
                }
            }
            $plain = str_replace([',', '−', ' '], ['.', '-', ''], $text);

            return is_numeric($plain)
                ? (float) $plain
                : throw $f->bad($field, 'is no number. Leave it empty, and write it into the note.');
        };
        [$least, $most, $found] = [$number('least'), $number('most'), $number('found')];
        if ($least !== null && $most !== null && $least > $most) {
            throw $f->bad('most', 'is less than the least. Change them over.');
        }

        return new self(
            id: $f->text('id'),
            name: $name,
            unit: $unit,
            least: trim($f->label('least')),
            most: trim($f->label('most')),
            found: trim($f->label('found')),
            note: $f->label('note'),
            leastNumber: $least,
            mostNumber: $most,
            foundNumber: $found,
        );
    }

    /** @return 'good'|'bad'|'found'|'open' found: nothing was wanted of it */
    public function verdict(): string
    {
        $number = $this->foundNumber;

        return match (true) {
            $number === null => 'open',
            $this->leastNumber === null && $this->mostNumber === null => 'found',
            $this->leastNumber !== null && $number < $this->leastNumber,
            $this->mostNumber !== null && $number > $this->mostNumber => 'bad',
            default => 'good',
        };
    }

    /** @return array<string, string> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'unit' => $this->unit,
            'least' => $this->least,
            'most' => $this->most,
            'found' => $this->found,
            'note' => $this->note,
        ];
    }
}
