<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\OwnShop;
use App\Http\Body;
use App\Models\Shop;
use App\Models\TakenOff;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Evaluate\Making\Learned;
use Oldpart\Core\Exchange\MachinesCsv;
use Oldpart\Core\Loop\ShimStock;
use Oldpart\Core\Making\HoleTools;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\MachineFigure;
use Oldpart\Core\Making\Recipe;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Thread\ThreadTools;

final class ShopController
{
    /** Least and most of each number, as in the job file's schema. */
    private const RANGES = [
        'temperature_c' => [-30, 60],
        'lathe_holds_mm' => [0.0001, 5],
        'rough_cut_mm' => [0.001, 20],
        'press_n' => [0, 1e8],
        'rate_per_h' => [0, 1e5],
    ];

    private const TYPED = [
        'lathe_holds_mm' => ['label' => 'The lathe holds', 'is' => 'length'],
        'rough_cut_mm' => ['label' => 'Usual roughing cut', 'is' => 'length'],
        'press_n' => ['label' => 'The press gives', 'is' => 'force'],
    ];

    public function show(): JsonResponse
    {
        return new JsonResponse($this->shown(Shop::here()));
    }

    public function update(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['name', 'unit', 'currency', 'shims', 'taps', 'dies', 'drills', 'reamers', 'machines', 'recipes', 'forget', 'polishes_last', 'typed', ...array_keys(self::RANGES)]);
        $shop = Shop::here();
        $typed = self::typed($in, Unit::tryFrom($shop->unit) ?? Unit::Inch);
        foreach (self::RANGES as $field => [$least, $most]) {
            $value = $typed[$field] ?? $in->numberOrNull($field);
            if ($value !== null && ($value < $least || $value > $most)) {
                throw new BadInput('out-of-range', $field, "This must be from {$least} to {$most}.");
            }
            if ($value !== null) {
                $shop->setAttribute($field, $value);
            }
        }
        $shop->name = $in->textOrNull('name') ?? $shop->name;
        $shop->currency = self::currency($in->textOrNull('currency') ?? $shop->currency);
        $shims = $in->textOrNull('shims');
        if ($shims !== null) {
            ShimStock::read($shims, Unit::Millimetre);
            $shop->shims = self::short('shims', $shims, 1000);
        }
        foreach (['taps', 'dies'] as $tools) {
            $typed = $in->textOrNull($tools);
            if ($typed !== null) {
                ThreadTools::read($typed, $tools);
                $shop->setAttribute($tools, self::short($tools, $typed, 2000));
            }
        }
        foreach (['drills', 'reamers'] as $tools) {
            $typed = $in->textOrNull($tools);
            if ($typed !== null) {
                if (trim(($shop->drills ?? '').($shop->reamers ?? '')) === '') {
                    $shop->tool_unit = $shop->unit;
                }
                $unit = $shop->toolUnit();
                $tools === 'drills' ? HoleTools::read($typed, '', $unit) : HoleTools::read('', $typed, $unit);
                $shop->setAttribute($tools, self::short($tools, $typed, 3000));
            }
        }
        if ($in->has('machines')) {
            $machines = Machine::list($in, 'machines');
            $shop->machines = array_map(static fn (Machine $m): array => $m->jsonSerialize(), $machines);
        }
        if ($in->has('recipes')) {
            $shop->recipes = array_map(
                static fn (Recipe $r): array => $r->jsonSerialize(),
                Recipe::list($in, 'recipes'),
            );
        }
        $shop->polishes_last = $in->flagOrNull('polishes_last') ?? $shop->polishes_last ?? false;
        if ($in->flag('forget')) {
            $shop->learns_since = now()->toIso8601ZuluString();
            TakenOff::forget();
        }
        $shop->unit = $in->has('unit') ? $in->choice('unit', Unit::class)->value : $shop->unit;
        $shop->save();

        return new JsonResponse($this->shown($shop));
    }

    /** From the demo shop to one's own. */
    public function own(Request $request, OwnShop $own): JsonResponse
    {
        $in = Body::of($request)->only(['name', 'unit', 'usual']);

        return new JsonResponse($this->shown($own->begin($in->text('name'), $in->choice('unit', Unit::class), $in->textOrNull('usual') ?? '')));
    }

    /** And back to it. */
    public function demo(OwnShop $own): JsonResponse
    {
        return new JsonResponse($this->shown($own->back()));
    }

    /** The machines as a table. */
    public function machines(): Response
    {
        return new Response(MachinesCsv::write(Shop::here()->facts()->machines), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="machines.csv"',
        ]);
    }

    /** A table of machines, to look at before it is taken; nothing is stored. */
    public function readMachines(Request $request): JsonResponse
    {
        $text = Body::of($request)->only(['text'])->text('text');
        $read = MachinesCsv::read($text, static fn (): string => strtolower((string) Str::ulid()));

        return new JsonResponse(['machines' => $read['machines'], 'refused' => $read['refused']]);
    }

    /**
     * Figures as a person typed them, in the shop's unit or the one they say; a force with its own.
     *
     * @return array<string, float> mm, N
     */
    private static function typed(Fields $in, Unit $unit): array
    {
        $figures = [];
        foreach ($in->textMap('typed') as $field => $text) {
            $is = self::TYPED[$field] ?? throw new BadInput('unknown-key', "typed.{$field}", "“{$field}” is not typed here.");
            $read = MachineFigure::of(['field' => $field, 'label' => $is['label'], 'is' => $is['is']])->read($text, $unit);
            $figures[$field] = is_float($read) ? $read : 0.0;
        }

        return $figures;
    }

    /** @return array<string, string> the same as they stand in the fields */
    private static function inFields(Shop $shop): array
    {
        $inch = $shop->unit === Unit::Inch->value;
        $length = static fn (float $mm): string => rtrim(rtrim(number_format($inch ? $mm / 25.4 : $mm, $inch ? 5 : 4, '.', ''), '0'), '.');

        return [
            'lathe_holds_mm' => $length($shop->lathe_holds_mm),
            'rough_cut_mm' => $length($shop->rough_cut_mm),
            'press_n' => rtrim(rtrim(number_format($shop->press_n / 1000, 3, '.', ''), '0'), '.').' kN',
        ];
    }

    private static function currency(string $text): string
    {
        $text = trim($text);

        return $text !== '' && mb_strlen($text) <= 8
            ? $text
            : throw new BadInput('currency', 'currency', 'A currency is 1 to 8 signs, such as € or GBP.');
    }

    /** @return array<string, mixed> */
    private function shown(Shop $shop): array
    {
        $facts = $shop->facts();

        return [
            ...array_diff_key($facts->jsonSerialize(), ['instruments' => 0]),
            'unit' => $shop->unit,
            'demo' => (bool) $shop->demo,
            'from_demo' => $shop->demo_before !== null,
            'in_fields' => self::inFields($shop),
            'recipes' => $shop->recipes ?? [],
            'learned' => Learned::inWords($facts->takeOffs),
        ];
    }

    /** Nothing that was typed is cut off without a word. */
    private static function short(string $field, string $typed, int $most): string
    {
        return mb_strlen($typed) <= $most ? $typed : throw new BadInput('too-long', $field, "“{$field}” has room for {$most} letters. Leave out what is never used.");
    }
}
