<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Shop;
use App\Sheet\Paper;
use App\Sheet\ShopCard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Fit\FitWish;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tables\BearingLookup;
use Oldpart\Core\Tables\FitTable;

/** The tables: fits looked up, found by what they give, and printed; bearings by their stamp or their sizes. */
final class FitController
{
    private const MOST_ON_A_CARD = 40;

    public function look(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['size', 'fit']);
        $size = $in->length('size');

        return new JsonResponse(FitTable::look($size->length->mm, $in->text('fit')));
    }

    public function find(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['text', 'unit']);

        return new JsonResponse(FitTable::find(FitWish::read($in->text('text'), $in->choice('unit', Unit::class))));
    }

    public function bearing(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['designation', 'bore', 'outside', 'width']);

        return new JsonResponse(
            $in->has('designation')
                ? BearingLookup::stamped($in->text('designation'))
                : BearingLookup::like(
                    $in->lengthOrNull('bore')?->length->mm,
                    $in->lengthOrNull('outside')?->length->mm,
                    $in->lengthOrNull('width')?->length->mm,
                ),
        );
    }

    /** A card for the wall: chosen sizes and fits, on paper. */
    public function card(Request $request, ShopCard $card): Response
    {
        $unit = Unit::tryFrom(self::text($request, 'unit')) ?? (Unit::tryFrom(Shop::here()->unit) ?? Unit::Inch);
        $rows = array_values(
            array_filter(
                array_map(trim(...), explode(';', self::text($request, 'rows'))),
                static fn (string $t): bool => $t !== '',
            ),
        );
        if ($rows === [] || count($rows) > self::MOST_ON_A_CARD) {
            throw new BadInput('card', 'rows', 'A card holds one to '.self::MOST_ON_A_CARD.' fits.');
        }
        $fits = array_map(static function (string $row) use ($unit): array {
            [$size, $fit] = [...explode('|', $row), ''];

            return FitTable::look(LengthReader::read($size, $unit)->length->mm, $fit);
        }, $rows);

        return new Response($card->pdf($fits, $unit, Paper::named($request->query('paper', 'a4'))), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="fits.pdf"',
        ]);
    }

    private static function text(Request $request, string $name): string
    {
        $value = $request->query($name);

        return is_string($value) ? $value : '';
    }
}
