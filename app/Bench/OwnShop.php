<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Job;
use App\Models\Shop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Quantity\Unit;

/** From the demo shop to one's own, and back: its jobs go to the bin, what the shop was is kept beside it. */
final class OwnShop
{
    /** What a person says of their own shop; all else begins as usual. */
    private const KEPT = ['name', 'unit', 'temperature_c', 'lathe_holds_mm', 'rough_cut_mm', 'press_n', 'rate_per_h', 'currency', 'shims', 'taps', 'dies', 'drills', 'reamers', 'tool_unit', 'machines', 'recipes', 'polishes_last', 'learns_since'];

    public function __construct(private JobStore $store)
    {
    }

    /**
     * @param  string  $usual  of which usual shop the machines are; empty: none yet
     *
     * @throws BadInput for a shop that is one's own already
     */
    public function begin(string $name, Unit $unit, string $usual): Shop
    {
        $machines = $usual === '' ? [] : (array_column(Machine::usual(), 'machines', 'code')[$usual]
            ?? throw new BadInput('usual', 'usual', "“{$usual}” is no usual shop known here."));
        if (trim($name) === '' || mb_strlen($name) > 100) {
            throw new BadInput('name', 'name', 'A shop has a name of 1 to 100 letters: it stands on every sheet.');
        }

        return DB::transaction(function () use ($name, $unit, $machines): Shop {
            $shop = Shop::here();
            if (! $shop->demo) {
                throw new BadInput('own', 'name', 'This shop is your own already: change it under Shop.');
            }
            $jobs = Job::query()->where('id', 'like', 'demo-%')->whereNull('binned_at')->get();
            $shelves = [];
            foreach ($jobs as $job) {
                assert($job instanceof Job);
                $shelves[$job->id] = $job->archived_at !== null ? 'archive' : 'bench';
                $this->store->put($job->id, 'bin');
            }
            $before = ['jobs' => $shelves, 'shop' => $shop->only(self::KEPT)];
            $inch = $unit === Unit::Inch;
            $shop->fill([
                'name' => trim($name), 'unit' => $unit->value, 'temperature_c' => 20.0, 'lathe_holds_mm' => $inch ? 0.0127 : 0.01,
                'rough_cut_mm' => $inch ? 0.508 : 0.5, 'press_n' => 9000.0, 'shims' => '', 'taps' => '', 'dies' => '', 'drills' => '',
                'reamers' => '', 'tool_unit' => null, 'recipes' => null, 'polishes_last' => false, 'learns_since' => now()->toIso8601ZuluString(),
                'machines' => array_map(
                    static fn (array $machine): array => [...$machine, 'id' => strtolower((string) Str::ulid())],
                    $machines,
                ),
                'demo' => false, 'demo_before' => $before,
            ])->save();

            return $shop;
        });
    }

    /** Refuses with BadInput where there was no demo. */
    public function back(): Shop
    {
        return DB::transaction(function (): Shop {
            $shop = Shop::here();
            $before = $shop->demo_before ?? throw new BadInput('no-demo', 'shop', 'There is no demo shop to go back to: bin/start --fresh fills one in.');
            $shop->fill([...$before['shop'], 'demo' => true, 'demo_before' => null])->save();
            foreach ($before['jobs'] as $job => $shelf) {
                if (Job::query()->whereKey($job)->exists()) {
                    $this->store->put((string) $job, $shelf === 'archive' ? 'archive' : 'bench');
                }
            }

            return $shop;
        });
    }
}
