<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

/** One thing drawn in a DXF: its kind, the line of the file it begins on, its numbers in order. */
final readonly class DxfThing
{
    /** @param  list<array{int, float}>  $numbers  each with its code */
    private function __construct(public string $type, public int $line, public array $numbers)
    {
    }

    /** The first number of a code; null where there is none. */
    public function first(int $code): ?float
    {
        foreach ($this->numbers as [$of, $value]) {
            if ($of === $code) {
                return $value;
            }
        }

        return null;
    }

    /**
     * What is drawn: pairs of lines, a code and its value; code 0 begins the next thing.
     *
     * @return list<self>
     */
    public static function all(string $text): array
    {
        $lines = explode("\n", $text);
        $things = [];
        $section = $type = '';
        [$line, $numbers] = [0, []];
        for ($i = 0; $i + 1 < count($lines); $i += 2) {
            [$code, $value] = [(int) trim($lines[$i]), trim($lines[$i + 1])];
            if ($code === 0) {
                if ($section === 'ENTITIES' && $line > 0) {
                    $things[] = new self($type, $line, $numbers);
                }
                $section = $value === 'ENDSEC' ? '' : $section;
                [$type, $line, $numbers] = [$value, $section === 'ENTITIES' ? $i + 1 : 0, []];
            } elseif ($code === 2 && $type === 'SECTION') {
                $section = $value;
            } elseif (is_numeric($value) && is_finite((float) $value)) {
                $numbers[] = [$code, (float) $value];
            }
        }

        return $things;
    }
}
