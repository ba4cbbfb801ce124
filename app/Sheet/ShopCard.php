<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Models\Shop;
use Oldpart\Core\Quantity\Unit;

/** A card for the wall: chosen sizes and fits with their limits, in black. */
final class ShopCard
{
    public function __construct(private readonly Printer $printer, private readonly Speech $speech)
    {
    }

    /** @param  list<array<string, mixed>>  $fits  as looked up */
    public function pdf(array $fits, Unit $unit, Paper $paper): string
    {
        $rows = json_decode(json_encode($fits, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);

        return $this->printer->pdf(
            $this->speech->html(view('card', [
                'rows' => $rows,
                'unit' => $unit,
                'shop' => Shop::here()->name,
                'say' => static fn (array $s): string => $s[$unit->value],
            ])->render()),
            $paper,
        );
    }
}
