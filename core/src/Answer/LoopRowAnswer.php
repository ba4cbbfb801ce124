<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Evaluate\Loops\LoopRow;
use Oldpart\Core\Quantity\LengthWriter;

/** A length of a loop as it is shown; a size to make is not, while a gate withholds sizes. */
final readonly class LoopRowAnswer implements \JsonSerializable
{
    /** @param  ?float  $share  of the loop's spread, 0 to 1 */
    private function __construct(private LoopRow $row, private ?float $share, private bool $withheld)
    {
    }

    /**
     * @param  list<LoopRow>  $rows
     * @param  list<float>  $shares  as many, or none while they are not known
     * @return list<self>
     */
    public static function all(array $rows, array $shares, bool $withheld): array
    {
        return array_map(
            static fn (LoopRow $row, int $i): self => new self($row, $shares[$i] ?? null, $withheld),
            $rows,
            array_keys($rows),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $known = $this->withheld && $this->row->isToMake() ? null : $this->row->contributor;

        return [
            'name' => $this->row->length->name,
            'from' => $this->row->from,
            'size' => $known === null ? null : LengthWriter::size($known->sizeMm),
            'plus_minus' => $known === null ? null : LengthWriter::difference($known->ownHalfMm()),
            'share' => $this->share,
        ];
    }
}
