<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Bench\JobRecords;
use App\Models\Job;
use App\Models\Shop;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** The demo shop: invented machines, one bush job finished and one waiting for a better reading. */
final class DemoShop extends Seeder
{
    public function run(): void
    {
        DB::transaction(function (): void {
            Job::query()->delete();
            Shop::query()->delete();
            $shop = Shop::query()->create([
                'id' => 'shop', 'name' => 'Culvert Lane Workshop', 'temperature_c' => 18.5, 'lathe_holds_mm' => 0.0127,
                'rough_cut_mm' => 0.508, 'press_n' => 20000.0, 'unit' => 'in',
            ])->facts();
            foreach ([$this->finished(new DemoJob('demo-carder', 'plain-bush', 'Wool carder, doffer roller', 'Bush for the roller shaft', $shop)), $this->waiting(new DemoJob('demo-drill', 'plain-bush', 'Seed drill, feed shaft', 'Bush for the drive end', $shop))] as $job) {
                JobRecords::insert($job->facts());
            }
        });
    }

    private function waiting(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The bore in the end frame is worn oval; the shaft drops and the gear teeth ride.', 'does' => 'Carries the drive end of the feed shaft, turning slowly.',
                'quantity' => 2, 'wanted_by' => '2027-02-26', 'if_it_fails' => 'The drill sows unevenly; nobody is hurt.', 'gates_answered' => true,
            ])
            ->materials(['Housing' => 'grey cast iron, ordinary', 'Shaft' => 'medium-carbon steel, normalised', 'Bush' => 'leaded tin bronze (bearing)'])
            ->read('Housing bore', 'telescoping', [
                ['mouth', '0', '1.1242'], ['mouth', '45', '1.1246'], ['mouth', '90', '1.1251'], ['mouth', '135', '1.1247'],
                ['middle', '0', '1.1239'], ['middle', '45', '1.1243'], ['middle', '90', '1.1246'], ['middle', '135', '1.1242'],
                ['far end', '0', '1.1241'], ['far end', '45', '1.1244'], ['far end', '90', '1.1248'], ['far end', '135', '1.1245'],
            ])
            ->read('Boss outside', 'calliper', [['thinnest', '0', '2-1/8']])
            ->read('Housing length', 'depth-micrometer', [['1', '0', '1.497'], ['1', '90', '1.498']])
            ->read('Shaft journal', 'outside-micrometer', [
                ['near end', '0', '0.8742'], ['near end', '90', '0.8740'], ['middle', '0', '0.8741'], ['middle', '90', '0.8739'], ['far end', '0', '0.8743'], ['far end', '90', '0.8742'],
            ])
            ->joint('Bush in housing', ['needs_torque_nm' => 4.0]);
    }

    private function finished(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The old bush ran dry and wore through on one side.', 'does' => 'Carries the doffer roller; turns at 90 rev/min in oil.',
                'quantity' => 1, 'wanted_by' => '2026-11-14', 'if_it_fails' => 'The carder stops; the roller is guarded.', 'gates_answered' => true,
            ])
            ->materials(['Housing' => 'grey cast iron, good (or continuous cast bar)', 'Shaft' => 'medium-carbon steel, normalised', 'Bush' => 'leaded tin bronze (bearing)'])
            ->read('Housing bore', 'three-point', [
                ['mouth', '0', '1.6252'], ['mouth', '45', '1.6253'], ['mouth', '90', '1.6254'], ['mouth', '135', '1.6253'],
                ['middle', '0', '1.6251'], ['middle', '45', '1.6251'], ['middle', '90', '1.6252'], ['middle', '135', '1.6251'],
                ['far end', '0', '1.6252'], ['far end', '45', '1.6252'], ['far end', '90', '1.6253'], ['far end', '135', '1.6252'],
            ])
            ->read('Boss outside', 'calliper', [['thinnest', '0', '2.87']])
            ->read('Housing length', 'depth-micrometer', [['1', '0', '2.002'], ['1', '90', '2.002']])
            ->read('Shaft journal', 'outside-micrometer', [
                ['near end', '0', '1.2481'], ['near end', '90', '1.2480'], ['middle', '0', '1.2479'], ['middle', '90', '1.2479'], ['far end', '0', '1.2481'], ['far end', '90', '1.2480'],
            ])
            ->cut('Bush outside', 'only', 'outside-micrometer', [[null, '1.6720'], ['0.020', '1.6524'], ['0.0132', '1.6394'], ['0.0134', '1.6261']])
            ->cut('Bush bore', 'before', 'three-point', [[null, '1.2080'], ['0.020', '1.2277'], ['0.0116', '1.2391'], ['0.0122', '1.2511']])
            ->cut('Bush bore', 'after', 'three-point', [[null, '1.2504']])
            ->cut('Bush length', 'only', 'calliper', [[null, '2.000']])
            ->ticked(['press-shatter', 'press-straight', 'press-support', 'iron-dust', 'chamfer', 'clean', 'size-check', 'guide', 'press', 'flush', 'check-bore', 'check-turns', 'check-oil'])
            ->handedOver('2026-11-12T16:10:00Z', 'Cut the oil groove before parting off: the bush was awkward to hold afterwards.');
    }
}
