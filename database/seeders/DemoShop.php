<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Bench\BenchIndex;
use App\Bench\JobRecords;
use App\Models\InstrumentCheck;
use App\Models\Job;
use App\Models\Shop;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Making\Machine;

/** The demo shop: nine jobs of invented machines at different stages, one declined, one behind a safety stop. */
final class DemoShop extends Seeder
{
    public function run(): void
    {
        DB::transaction(function (): void {
            Job::query()->delete();
            Shop::query()->delete();
            $shop = Shop::query()->create([
                'id' => 'shop', 'name' => 'Culvert Lane Workshop', 'temperature_c' => 18.5, 'shims' => '0.05 x4, 0.1 x4, 0.2 x2, 0.5 x2', 'lathe_holds_mm' => 0.0127,
                'rough_cut_mm' => 0.508, 'press_n' => 20000.0, 'rate_per_h' => 38.0, 'currency' => '€', 'unit' => 'in', 'machines' => self::machines(), 'demo' => true,
            ])->facts();
            $new = static fn (string $id, string $kind, string $machine, string $part): DemoJob => new DemoJob($id, $kind, $machine, $part, $shop);
            foreach ([
                $this->finished($new('demo-carder', 'plain-bush', 'Wool carder, doffer roller', 'Bush for the roller shaft')),
                $this->waiting($new('demo-drill', 'plain-bush', 'Seed drill, feed shaft', 'Bush for the drive end')),
                $this->pivot($new('demo-cider', 'flanged-bush', 'Cider press, platen screw', 'Flanged bush for the screw head')),
                $this->blower($new('demo-blower', 'taper-hub', 'Grain blower', 'Hub for the new impeller')),
                $this->coupling($new('demo-pump', 'ring-coupling', 'Quarry pump set', 'Ring between engine and pump')),
                $this->nozzle($new('demo-turbine', 'nozzle', 'Mill turbine, 1920s', 'Guide nozzle')),
                $this->insert($new('demo-printer', 'threaded-insert', 'Proof printing press', 'Insert for the roller bracket')),
                $this->clock($new('demo-clock', 'lever', 'Tower clock', 'Strike lever')),
                $this->axle($new('demo-tedder', 'flanged-axle', 'Hay tedder', 'Axle for the land wheel')),
                $this->batch($new('demo-trolley', 'flanged-axle', 'Timber trolley', 'Six axles, one for each wheel')),
                $this->boss($new('demo-hoist', 'plain-bush', 'Barn hoist', 'Pulley boss bored for a bought bush')),
                $this->roller($new('demo-saw', 'plain-bush', 'Log saw, feed roller', 'Bush made first, and the worn hole to it')),
                $this->pour($new('demo-mill', 'poured-bearing', 'Corn mill, main shaft', 'Split bearing, poured again')),
                $this->block($new('demo-sprayer', 'ported-block', 'Orchard sprayer', 'Valve block without its valve')),
                $this->extension($new('demo-grinder', 'stepped-shaft', 'Surface grinder, cross feed', 'Extension for the feed screw')),
            ] as $job) {
                JobRecords::insert($job->facts());
            }
            BenchIndex::complete();
            $this->checks();
            app(DemoPractice::class)->run();
        });
    }

    /**
     * The usual ones of an inch repair shop, with a smaller press.
     *
     * @return list<array<string, mixed>>
     */
    private static function machines(): array
    {
        $machines = array_column(Machine::usual(), 'machines', 'code')['inch'];
        foreach ($machines as $i => $machine) {
            $machines[$i]['id'] = "demo-machine-{$i}";
            if ($machine['kind'] === 'press') {
                $machines[$i] = [...$machines[$i], 'name' => 'Screw press', 'figures' => ['force_n' => '20 kN', 'daylight_mm' => '18']];
            }
        }

        return $machines;
    }

    /** One instrument that reads true, one that drifted, one long due. */
    private function checks(): void
    {
        InstrumentCheck::query()->delete();
        foreach ([
            ['calliper', '25.00', '25', 40],
            ['depth-micrometer', '25.000', '25', 290],
            ['depth-micrometer', '25.010', '25', 33],
            ['outside-micrometer', '25.001', '25', 430],
        ] as $i => [$instrument, $read, $true, $daysAgo]) {
            InstrumentCheck::query()->create([
                'id' => 'demo-check-'.$i, 'instrument' => $instrument, 'read' => ['typed' => $read, 'unit' => 'mm'], 'true' => ['typed' => $true, 'unit' => 'mm'],
                'read_mm' => (float) $read, 'true_mm' => (float) $true, 'at' => now()->subDays($daysAgo)->toIso8601ZuluString(),
            ]);
        }
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
            ->joint('Bush in housing', ['purpose' => 'tap-tight', 'needs_torque_nm' => 4.0])
            ->loop('End float of the shaft', '0.002', '0.010', [['Housing length', true, ['surface' => 'Housing length']], ['Thrust washer', false, ['size' => '0.0625', 'limits' => '0.001']], ['Collar to collar', false, ['size' => '1.428', 'limits' => '0.001']]])
            ->loop('Room beside the pulley', '0.002', '0.008', [['Shoulder to pulley', true, ['size' => '1.625', 'limits' => '0.001']], ['Housing length', false, ['surface' => 'Housing length']], ['Spacing washer', false, []]])
            ->clears('Pulley rim beside the bearing’s foot', ['travel' => 'still', 'other' => 'wall', 'mover' => '7.52', 'x' => '3.82', 'doubt' => '0.02', 'least' => '0.08'])
            ->nothingOpen();
    }

    /** Two flange diameters and a shoulder that no joint touches; one of them came out small and was accepted. */
    private function axle(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The old axle is bent and its register rusted away.', 'does' => 'Carries the land wheel of the tedder.', 'quantity' => 1,
                'wanted_by' => '2027-04-16', 'if_it_fails' => 'The wheel comes off at walking pace in a field.', 'gates_answered' => true,
            ])
            ->notHere(['Bearing', 'End thread', 'Keyway'])
            ->materials(['Wheel' => 'low-carbon steel, cold drawn', 'Axle' => 'medium-carbon steel, normalised'])
            ->more('Axle', 'Oil guard land', 'shaft', ['criticality' => 'fit', 'demand' => ['kind' => 'limits', 'plus' => null, 'minus' => ['typed' => '0.004', 'unit' => 'in'], 'class' => null]])
            ->more('Axle', 'Shoulder behind the flange', 'shaft', ['criticality' => 'clearance'])
            ->surfaceIs('Bearing seat', ['name' => 'Axle journal', 'demand' => ['kind' => 'as-the-old', 'plus' => null, 'minus' => null, 'class' => null]])
            ->surfaceIs('Flange', ['demand' => ['kind' => 'free', 'plus' => null, 'minus' => null, 'class' => 'm'], 'criticality' => 'clearance'])
            ->surfaceIs('Flange thickness', ['demand' => ['kind' => 'not-under', 'plus' => null, 'minus' => null, 'class' => 'm'], 'criticality' => 'clearance'])
            ->noted('drawing', ['Flange' => ['size' => '4-1/4', 'at' => '0.4', 'long' => '0.5'], 'Oil guard land' => ['size' => '2.875', 'at' => '0.9', 'long' => '0.35'], 'Flange thickness' => ['size' => '0.5', 'at' => '0.4', 'long' => '0.5'],
                'Shoulder behind the flange' => ['size' => '1.75', 'at' => '1.25', 'long' => '0.3'], 'Axle journal' => ['at' => '1.55', 'long' => '2.2'], 'Register' => ['at' => '0', 'long' => '0.4'],
            ], 'in')
            ->read('Wheel bore', 'three-point', [['mouth', '0', '1.5752'], ['mouth', '90', '1.5754'], ['middle', '0', '1.5751'], ['middle', '90', '1.5752'], ['far end', '0', '1.5752'], ['far end', '90', '1.5753']])
            ->readAs('Axle journal', 'outside-micrometer', 'before', [['near end', '0', '1.1806', false], ['near end', '90', '1.1807', false], ['middle', '0', '1.1744', true], ['middle', '90', '1.1751', true]])
            ->cut('Register', 'only', 'outside-micrometer', [[null, '1.6020'], ['0.0200', '1.5822'], ['0.0072', '1.5746']])
            ->cut('Flange', 'only', 'calliper', [[null, '4.252']])
            ->cut('Oil guard land', 'only', 'outside-micrometer', [[null, '2.9010'], ['0.0250', '2.8758'], ['0.0020', '2.8702']])
            ->cut('Flange thickness', 'only', 'calliper', [[null, '0.504']])
            ->cut('Shoulder behind the flange', 'only', 'calliper', [[null, '1.751']])
            ->accepted('Oil guard land', 'the bench', 'The felt of the guard gives 0.02; nothing else runs on it.')
            ->nothingOpen();
    }

    /** Six axles, each with a wheel of its own: the register wanders as the tool wears. */
    private function batch(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The old axles are worn to a taper and the wheels rock.', 'cause' => 'wear', 'does' => 'Carry the wheels of the trolley on the saw’s rails.', 'quantity' => 6,
                'wanted_by' => '2027-04-30', 'if_it_fails' => 'A wheel comes off at a walk; the load is tied down.', 'gates_answered' => true,
            ])
            ->notHere(['Bearing', 'End thread', 'Keyway', 'Wheel hole circle', 'Flange hole circle'])
            ->materials(['Wheel' => 'grey cast iron, ordinary', 'Axle' => 'medium-carbon steel, normalised'])
            ->surfaceIs('Flange', ['demand' => ['kind' => 'free', 'plus' => null, 'minus' => null, 'class' => 'm'], 'criticality' => 'as it comes'])
            ->surfaceIs('Bearing seat', ['name' => 'Axle journal', 'demand' => ['kind' => 'limits', 'plus' => null, 'minus' => ['typed' => '0.002', 'unit' => 'in'], 'class' => null]])
            ->surfaceIs('Flange thickness', ['demand' => ['kind' => 'free', 'plus' => null, 'minus' => null, 'class' => 'm'], 'criticality' => 'as it comes'])
            ->noted('drawing', ['Flange' => ['size' => '3', 'at' => '0.5', 'long' => '0.4'], 'Flange thickness' => ['size' => '0.4', 'at' => '0.5', 'long' => '0.4'],
                'Axle journal' => ['size' => '1.125', 'at' => '0.9', 'long' => '2'], 'Register' => ['at' => '0', 'long' => '0.5'],
            ], 'in')
            ->read('Wheel bore', 'three-point', [['mouth', '0', '1.2506'], ['mouth', '90', '1.2507'], ['middle', '0', '1.2506'], ['middle', '90', '1.2506'], ['far end', '0', '1.2507'], ['far end', '90', '1.2506']])
            ->cut('Register', 'only', 'outside-micrometer', [[null, '1.2740'], ['0.0120', '1.2622'], ['0.0060', '1.2562'], ['0.0062', '1.2500']])
            ->pieces('Register', 'outside-micrometer', [2 => '1.2501', 3 => '1.2501', 4 => '1.2502', 5 => '1.2503'])
            ->cut('Axle journal', 'only', 'outside-micrometer', [[null, '1.1500'], ['0.0120', '1.1382'], ['0.0070', '1.1312'], ['0.0072', '1.1240']])
            ->pieces('Axle journal', 'outside-micrometer', [2 => '1.1239', 3 => '1.1241', 4 => '1.1240', 5 => '1.1241'])
            ->mates('Wheel on the register', 'three-point', ['A' => '1.2506', 'B' => '1.2509', 'C' => '1.2507', 'D' => '1.2510', 'E' => '1.2508', 'F' => '1.2511'], 6)
            ->nothingOpen();
    }

    /** A worn boss bored out for a bush that was bought, with the wall that is left. */
    private function boss(DemoJob $job): DemoJob
    {
        $spots = static fn (array $typed): array => array_map(static fn (string $t, int $i): array => [['mouth', 'middle', 'far end'][intdiv($i, 2)], $i % 2 === 0 ? '0' : '90', $t], $typed, array_keys($typed));

        return $job
            ->takenIn([
                'failed' => 'The pulley’s bore is worn oval and the pulley knocks on its pin.', 'cause' => 'wear', 'does' => 'Turns the rope round the top of the barn door’s hoist, by hand.',
                'quantity' => 1, 'wanted_by' => '2027-03-05', 'if_it_fails' => 'The door stops half way; it has a catch.', 'gates_answered' => true,
            ])
            ->materials(['Housing' => 'grey cast iron, ordinary', 'Shaft' => 'medium-carbon steel, normalised', 'Bush' => 'tin bronze'])
            ->partIs('Bush', ['origin' => 'bought'])
            ->surfaceIs('Housing bore', ['condition' => 'worn', 'work' => 'cut'])
            ->read('Housing bore', 'telescoping', $spots(['1.0082', '1.0194', '1.0061', '1.0143', '1.0079', '1.0188']))
            ->read('Bush outside', 'outside-micrometer', [['near end', '0', '1.2517'], ['near end', '90', '1.2516'], ['middle', '0', '1.2516'], ['middle', '90', '1.2517'], ['far end', '0', '1.2516'], ['far end', '90', '1.2516']])
            ->read('Bush bore', 'three-point', [['near end', '0', '1.0012'], ['near end', '90', '1.0012'], ['middle', '0', '1.0011'], ['middle', '90', '1.0012'], ['far end', '0', '1.0012'], ['far end', '90', '1.0011']])
            ->read('Bush length', 'calliper', [['1', '0', '1.500']])
            ->read('Boss outside', 'calliper', [['thinnest', '0', '1-7/8']])
            ->read('Housing length', 'depth-micrometer', [['1', '0', '1.503'], ['1', '90', '1.502']])
            ->read('Shaft journal', 'outside-micrometer', [['near end', '0', '0.9992'], ['near end', '90', '0.9991'], ['middle', '0', '0.9991'], ['middle', '90', '0.9990'], ['far end', '0', '0.9992'], ['far end', '90', '0.9991']])
            ->nothingOpen();
    }

    /** The bush is made first and the worn hole bored to it; tried together, it binds, and its face comes off. */
    private function roller(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The roller’s hole is worn past any bush there is.', 'cause' => 'wear', 'does' => 'Carries the feed roller of the saw on its stud.', 'quantity' => 1,
                'wanted_by' => '2027-05-21', 'if_it_fails' => 'The feed stops; the blade is behind its hood.', 'gates_answered' => true,
            ])
            ->jointNotHere('Bush length to housing')
            ->materials(['Housing' => 'grey cast iron, ordinary', 'Shaft' => 'medium-carbon steel, normalised', 'Bush' => 'tin bronze'])
            ->surfaceIs('Housing bore', ['condition' => 'worn', 'work' => 'cut'])
            ->surfaceIs('Bush outside', ['demand' => ['kind' => 'limits', 'plus' => ['typed' => '0.002', 'unit' => 'in'], 'minus' => ['typed' => '0.002', 'unit' => 'in'], 'class' => null]])
            ->noted('drawing', ['Bush outside' => ['size' => '1.650', 'at' => '0', 'long' => '2']], 'in')
            ->joint('Bush in housing', ['first' => 'inner'])
            ->read('Housing bore', 'telescoping', [['mouth', '0', '1.5640'], ['mouth', '90', '1.5821'], ['far end', '0', '1.5602'], ['far end', '90', '1.5790']])
            ->read('Boss outside', 'calliper', [['thinnest', '0', '2-5/8']])
            ->read('Housing length', 'depth-micrometer', [['1', '0', '2.002'], ['1', '90', '2.002']])
            ->read('Shaft journal', 'outside-micrometer', [['near end', '0', '1.2486'], ['near end', '90', '1.2485'], ['middle', '0', '1.2485'], ['middle', '90', '1.2485'], ['far end', '0', '1.2486'], ['far end', '90', '1.2486']])
            ->cut('Bush outside', 'only', 'outside-micrometer', [[null, '1.6920'], ['0.0300', '1.6622'], ['0.0110', '1.6514']])
            ->cut('Bush length', 'only', 'calliper', [[null, '2.002']])
            ->loop('Nut home on the stud', '0.002', '0.008', [['Stud, shoulder to nut', true, ['size' => '2.070', 'limits' => '0.002']], ['Bush length', false, ['surface' => 'Bush length']], ['Washer', false, ['size' => '0.0625', 'limits' => '0.001']]])
            ->tried('Nut home on the stud', ['seen' => 'binds', 'turn' => 0.125, 'pitch' => ['typed' => '1/24', 'unit' => 'in'], 'note' => 'nut binds on the 3/8-24 stud'])
            ->nothingOpen();
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
            ->surfaceIs('Housing bore', ['finish' => 'reamed', 'rz_um' => 6.0])->surfaceIs('Bush outside', ['finish' => 'turned', 'rz_um' => 5.0])
            ->read('Boss outside', 'calliper', [['thinnest', '0', '2.87']])
            ->read('Housing length', 'depth-micrometer', [['1', '0', '2.002'], ['1', '90', '2.002']])
            ->read('Shaft journal', 'outside-micrometer', [
                ['near end', '0', '1.2481'], ['near end', '90', '1.2480'], ['middle', '0', '1.2479'], ['middle', '90', '1.2479'], ['far end', '0', '1.2481'], ['far end', '90', '1.2480'],
            ])
            ->cut('Bush outside', 'only', 'outside-micrometer', [[null, '1.6720'], ['0.020', '1.6524'], ['0.0130', '1.6395'], ['0.0133', '1.6263']])
            ->cut('Bush bore', 'before', 'three-point', [[null, '1.2080'], ['0.020', '1.2277'], ['0.0116', '1.2390'], ['0.0119', '1.2507']])
            ->cut('Bush bore', 'after', 'three-point', [[null, '1.2503']])
            ->cut('Bush length', 'only', 'calliper', [[null, '2.000']])
            ->cameApart(
                [['name' => 'Shaft', 'how' => 'drawn', 'mark' => 'key up, dot on the end face', 'note' => 'came out toward the belt'], ['name' => 'Bush', 'how' => 'pressed', 'force_n' => 14000, 'bag' => '3', 'note' => 'worn through on one side']],
                [['Bush', 'before', 'Shaft', 'it carries it']],
                ['limit_c' => 60, 'runs' => array_map(static fn (array $run): array => ['minute' => $run[0], 'rpm' => $run[1], 'celsius' => $run[2], 'note' => $run[3]], [
                    [0, 30, 18.5, ''], [5, 30, 22, 'quiet'], [15, 60, 27, ''], [30, 90, 33, 'a little oil at the end'], [45, 90, 33.5, ''],
                ]), 'checks' => [
                    ['id' => 'demo-carder-float', 'name' => 'End float of the roller', 'unit' => 'in', 'least' => '0.004', 'most' => '0.010', 'found' => '0.007', 'note' => ''],
                    ['id' => 'demo-carder-hand', 'name' => 'Torque to turn it', 'unit' => 'N·m', 'least' => '', 'most' => '2', 'found' => '1.2', 'note' => 'even all round'],
                ]],
            )
            ->allIn()
            ->ticked(['press-shatter', 'press-straight', 'press-support', 'iron-dust', 'chamfer', 'clean', 'size-check', 'guide', 'press', 'flush', 'check-bore', 'check-turns', 'check-oil'])
            ->nothingOpen()
            ->handedOver('2026-11-12T16:10:00Z', 'Cut the oil groove before parting off: the bush was awkward to hold afterwards.');
    }

    private function pivot(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The old bush is worn through and the screw head rocks in the beam.', 'cause' => 'wear', 'does' => 'Lets the screw turn in the beam and takes its thrust.',
                'loads' => 'two tonnes along it, by hand', 'surroundings' => 'wet, washed down', 'quantity' => 1, 'wanted_by' => '2027-08-20',
                'if_it_fails' => 'The screw binds; the pressing stops.', 'gates_answered' => true,
            ])
            ->known(['original' => 'the worn bush, in two pieces', 'mates' => 'beam and screw are here'])
            ->materials(['Housing' => 'ductile iron', 'Shaft' => 'medium-carbon steel, normalised', 'Flanged bush' => 'tin bronze'])
            ->surfaceIs('Housing face', ['condition' => 'unworn', 'datum' => true])
            ->noted('drawing', ['Flange outside' => ['size' => '62', 'at' => '0', 'long' => '6'], 'Bush outside' => ['at' => '6', 'long' => '50'], 'Bush bore' => ['at' => '0', 'long' => '56'],
                'Flange thickness' => ['size' => '6', 'at' => '0', 'long' => '6'], 'Length under the flange' => ['at' => '6', 'long' => '50'], 'Lead-in chamfer' => ['size' => '1.5', 'at' => '56'],
            ])
            ->surfaceIs('Housing bore', ['finish' => 'honed'])->surfaceIs('Bush outside', ['finish' => 'ground'])
            ->joint('Bush in housing', ['outer_c' => 180.0, 'inner_c' => -18.0, 'reason' => 'shrunk in: the beam warmed, the bush from the freezer'])
            ->joint('Shaft in bush', ['purpose' => 'running-journal', 'load_n' => 19000.0, 'speed_rpm' => 6.0])
            ->noted('eyeballed', ['Flange screw holes' => ['size' => '50', 'size2' => '5.5', 'at' => '0', 'long' => '6']])
            ->surfaceIs('Flange screw holes', ['count' => 3])
            ->read('Housing bore', 'three-point', [
                ['mouth', '0', '1.5003'], ['mouth', '90', '1.5005'], ['middle', '0', '1.5002'], ['middle', '90', '1.5003'], ['far end', '0', '1.5003'], ['far end', '90', '1.5004'],
            ])
            ->read('Boss outside', 'calliper', [['thinnest', '0', '3.25']])
            ->read('Housing length', 'depth-micrometer', [['1', '0', '1.969'], ['1', '90', '1.969']])
            ->read('Shaft journal', 'outside-micrometer', [['near end', '0', '1.1868'], ['near end', '90', '1.1867'], ['middle', '0', '1.1867'], ['middle', '90', '1.1866'], ['far end', '0', '1.1868'], ['far end', '90', '1.1868']])
            ->read('Housing screw holes', 'calliper', [['near end', '0', '1.970'], ['near end', '90', '1.968']])
            ->quoted(['first_of_its_kind' => false, 'decided' => 'take']);
    }

    private function blower(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The pressed hub came loose on the shaft and fretted.', 'cause' => 'wrong by design', 'does' => 'Carries the fan disc.', 'speed_rpm' => 1450,
                'loads' => '5.5 kW', 'surroundings' => 'dusty, outdoors', 'quantity' => 1, 'wanted_by' => '2027-07-01', 'if_it_fails' => 'The disc stops; it runs in a closed casing.', 'gates_answered' => true,
            ])
            ->known(['mates' => 'shaft and disc', 'similar part' => 'the hub of the smaller blower'])
            ->materials(['Shaft' => 'medium-carbon steel, normalised', 'Hub' => 'grey cast iron, good (or continuous cast bar)', 'Disc to carry' => 'low-carbon steel, cold drawn'])
            ->noted('catalogue', ['Bush taper' => ['size' => '56', 'size2' => '52', 'at' => '0', 'long' => '32'], 'Bush bore' => ['size' => '30', 'at' => '0', 'long' => '32']])
            ->noted('similar part', [
                'Hub taper' => ['size' => '56', 'size2' => '52', 'at' => '0', 'long' => '32'], 'Hub outside' => ['size' => '80', 'at' => '0', 'long' => '32'],
                'Hub flange' => ['size' => '110', 'at' => '32', 'long' => '12'], 'Hub spigot' => ['size' => '60', 'at' => '44', 'long' => '8'],
                'Hole behind the taper' => ['size' => '40', 'at' => '32', 'long' => '20'], 'Hub hole circle' => ['size' => '94', 'size2' => '9', 'at' => '32', 'long' => '12'],
            ])
            ->surfaceIs('Hub hole circle', ['count' => 6])
            ->read('Bush taper', 'outside-micrometer', [['where it begins', '0', '56.012 mm'], ['where it begins', '90', '56.010 mm'], ['where it begins', '45', '56.014 mm'], ['where it begins', '135', '56.011 mm']])
            ->dimension('Bush taper', 'far', 'outside-micrometer', ['52.008 mm', '52.011 mm'])->dimension('Bush taper', 'over', 'depth-micrometer', ['31.98 mm'])
            ->quoted(['bought_price' => 260, 'bought_lead_days' => 40, 'first_of_its_kind' => true])
            ->waits('stock', now()->addDays(3)->toIso8601ZuluString(), 'iron bar');
    }

    private function coupling(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The old engine is gone; another is to drive the pump.', 'cause' => 'lost', 'does' => 'Holds the engine to the pump and carries the torque.', 'speed_rpm' => 2200,
                'loads' => '30 kW', 'quantity' => 1, 'wanted_by' => '2027-01-22', 'if_it_fails' => 'The engine tears loose.', 'gates_answered' => true, 'gates' => ['driveline'],
            ])
            ->known(['mates' => 'both flanges are here'])
            ->materials(['Driving side' => 'grey cast iron, ordinary', 'Driven side' => 'grey cast iron, ordinary', 'Ring' => 'low-carbon steel, cold drawn'])
            ->noted('drawing', [
                'Ring outside' => ['size' => '360', 'at' => '12', 'long' => '32'], 'Ring spigot' => ['size' => '285', 'at' => '0', 'long' => '12'], 'Ring bore' => ['size' => '150', 'at' => '0', 'long' => '32'],
                'Ring register' => ['size' => '200', 'at' => '32', 'long' => '12'], 'Holes to the driving side' => ['size' => '320', 'size2' => '11', 'at' => '12', 'long' => '32'],
                'Holes to the driven side' => ['size' => '240', 'size2' => '12', 'at' => '12', 'long' => '32'], 'Ring thickness' => ['size' => '32', 'at' => '12', 'long' => '32'],
            ])
            ->surfaceIs('Holes to the driving side', ['count' => 8])->surfaceIs('Holes to the driven side', ['count' => 6])
            ->read('Driving register', 'telescoping', [['near end', '0', '11.2210'], ['near end', '90', '11.2215']]);
    }

    private function nozzle(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The nozzle is cracked through and half of it is missing.', 'cause' => 'crack', 'does' => 'Guides the water onto the wheel.', 'quantity' => 1, 'wanted_by' => '2027-03-01',
                'if_it_fails' => 'The turbine stops.', 'gates_answered' => true,
            ])
            ->known(['broken half' => 'the larger half', 'photographs' => 'two, of the other side'])
            ->partIs('Mating flange', ['material' => 'unknown iron casting', 'tests' => ['magnet' => 'strong', 'ring' => 'dull', 'chip' => 'crumbles']])
            ->surfaceIs('Flange', ['condition' => 'damaged'])->surfaceIs('Flange face', ['condition' => 'damaged'])->surfaceIs('Register', ['condition' => 'worn', 'criticality' => 'critical'])
            ->reckoned('Scaled from a sister', 'scale', ['pairs' => "theirs_mm, ours_mm\n140, 98.1\n180, 126.1\n96, 67.1", 'sizes_mm' => '171, 34.5, 146'], [
                'gives' => ['scaled_mm.0.mm' => 'Nozzle flange', 'scaled_mm.1.mm' => 'Throat', 'scaled_mm.2.mm' => 'Length'],
            ])
            ->reckoned('Pattern of the flange', 'casting', ['outside' => 'yes', 'allowance_mm' => '3', 'shrink_percent' => '1'], ['from' => ['finished_mm' => 'Nozzle flange']])
            ->quoted(['decided' => 'decline', 'reason' => 'A foundry that keeps turbine patterns can help: ask there.']);
    }

    private function insert(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The bracket’s thread is stripped; the roller tilts.', 'cause' => 'stripped thread', 'does' => 'Holds the ink roller bracket.', 'quantity' => 2, 'wanted_by' => '2027-01-15',
                'if_it_fails' => 'The print is uneven.', 'gates_answered' => true,
            ])
            ->known(['mates' => 'casting and screw', 'original' => 'the other bracket'])
            ->materials(['Casting' => 'grey cast iron, ordinary', 'Insert' => 'low-carbon steel, cold drawn'])
            ->surfaceIs('Casting face', ['condition' => 'unworn', 'datum' => true])
            ->read('Hole opened for the insert', 'telescoping', [
                ['near end', '0', '0.7092'], ['near end', '45', '0.7093'], ['near end', '90', '0.7094'], ['near end', '135', '0.7093'],
                ['far end', '0', '0.7091'], ['far end', '90', '0.7092'],
            ])
            ->read('Depth of the hole', 'depth-micrometer', [['1', '0', '0.984'], ['1', '90', '0.985']])
            ->read('Screw thread', 'outside-micrometer', [['near end', '0', '0.3722'], ['near end', '90', '0.3724'], ['far end', '0', '0.3723'], ['far end', '90', '0.3722']])->dimension('Screw thread', 'over-10', 'calliper', ['0.6250'])
            ->cut('Insert outside', 'only', 'outside-micrometer', [[null, '0.7500'], ['0.025', '0.7251'], ['0.009', '0.7161'], ['0.009', '0.7071']])
            ->cut('Insert length', 'only', 'calliper', [[null, '0.983']])
            ->quoted(['first_of_its_kind' => false, 'decided' => 'take'])
            ->waits('curing', now()->addHours(20)->toIso8601ZuluString(), 'compound at 16 °C: a day');
    }

    /** A length was taken from the wrong face; the shaft may sit less deep in its socket. */
    private function extension(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The handwheel sits too close to the guard; the screw’s end is worn.', 'cause' => 'wear', 'does' => 'Carries the handwheel and its dial clear of the guard.', 'quantity' => 1, 'wanted_by' => '2027-02-12',
                'if_it_fails' => 'The cross feed slips; nobody is hurt.', 'gates_answered' => true,
            ])
            ->known(['mates' => 'bracket, dial and thrust bearing', 'original' => 'the short screw end'])
            ->materials(['Shaft' => 'medium-carbon steel, normalised', 'Hub' => 'grey cast iron, ordinary'])
            ->read('Hub width', 'depth-micrometer', [['1', '0', '1.1805'], ['1', '90', '1.1810']])
            ->read('Hub bore', 'three-point', [
                ['mouth', '0', '0.8664'], ['mouth', '90', '0.8665'], ['middle', '0', '0.8663'], ['middle', '90', '0.8664'], ['far end', '0', '0.8664'], ['far end', '90', '0.8664'],
            ])
            ->read('Hub keyway', 'calliper', [['1', '0', '0.2366'], ['1', '0', '0.2368']])->dimension('Hub keyway', 'across', 'calliper', ['0.9770'])
            ->surfaceIs('End thread', ['shape' => '1/2 BSF'])
            ->joint('Hub on the shaft', ['needs_torque_nm' => 12.0, 'reason' => 'comes off for the belt', 'held' => [
                ['kind' => 'key', 'size' => ['typed' => '6 mm', 'unit' => 'in'], 'size2' => ['typed' => '6 mm', 'unit' => 'in'], 'long' => ['typed' => '0.875', 'unit' => 'in'], 'circle' => null, 'count' => 1, 'tighten_nm' => null, 'half_angle_deg' => null, 'material' => null],
                ['kind' => 'set-screws', 'size' => ['typed' => '6 mm', 'unit' => 'in'], 'size2' => null, 'long' => null, 'circle' => null, 'count' => 2, 'tighten_nm' => 5.0, 'half_angle_deg' => null, 'material' => null],
            ]])
            ->loop('Dial free on its shaft', '0.004', '0.012', [
                ['Socket face to bracket', true, ['size' => '2.244', 'limits' => '0.001', 'spread' => 'measured', 'origin' => 'there']], ['Shaft in its socket', false, ['size' => '0.787', 'limits' => '0.001', 'from' => '0.591', 'to' => '0.787']],
                ['Thrust bearing', false, ['size' => '0.3937', 'limits' => '0.0005', 'origin' => 'bought']], ['Dial with its washers', false, ['size' => '1.1733', 'limits' => '0.001']],
            ])
            ->loop('Float between the bearings', '0.002', '0.010', [
                ['Housing, seat to seat', true, ['size' => '3.1575', 'limits' => '0.0008', 'spread' => 'measured', 'origin' => 'there', 'in_use_c' => 35.0, 'material' => 'grey cast iron, ordinary']], ['Between the shoulders', false, ['surface' => 'Between the shoulders', 'in_use_c' => 45.0]],
            ])
            ->loop('Dial off the screw’s axis', null, '0.015', [
                ['Across', true, ['size' => '0.009', 'limits' => '0.001', 'spread' => 'measured', 'angle_deg' => 0.0]], ['Up', true, ['size' => '0.006', 'limits' => '0.001', 'spread' => 'measured', 'angle_deg' => 90.0]],
            ], ['plane' => true])
            ->reckoned('How it runs between centres', 'run-out', ['near_mm' => '0.0002, 0.0001, -0.0002, 0', 'far_mm' => '0.0004, 0, -0.0003, 0.0001', 'apart_mm' => '5.9'], ['unit' => 'in', 'rounds' => [
                ['as chucked; tapped at the tail', ['near_mm' => '0.002, 0.001, -0.002, -0.001', 'far_mm' => '0.011, 0.004, -0.011, -0.004', 'apart_mm' => '5.9']],
            ]])
            ->wasWrong('Dial free on its shaft', 'Socket face to bracket', '2.362', '2.244', 'wrong face', 'from the outer face of the bracket, not its boss')
            ->nothingOpen();
    }

    /** The first pour had pores: a damp dam. */
    private function pour(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The metal has run out of the lower half; the shaft sits on iron.', 'cause' => 'wear', 'does' => 'Carries the main shaft of the mill, in oil.', 'speed_rpm' => 140, 'quantity' => 1,
                'wanted_by' => '2027-03-19', 'if_it_fails' => 'The mill stops.', 'gates_answered' => true,
            ])
            ->known(['mates' => 'shell and shaft are here', 'broken half' => 'the upper half of the lining'])
            ->materials(['Shell, two halves' => 'grey cast iron, ordinary', 'Journal' => 'medium-carbon steel, normalised', 'Lining' => 'white metal, tin base'])
            ->surfaceIs('Thrust face of the shell', ['condition' => 'unworn', 'datum' => true])
            ->read('Journal', 'outside-micrometer', [['near end', '0', '2.4978'], ['near end', '90', '2.4976'], ['middle', '0', '2.4974'], ['middle', '90', '2.4972'], ['far end', '0', '2.4978'], ['far end', '90', '2.4977']])
            ->read('Shell bore', 'telescoping', [['near end', '0', '3.1265'], ['near end', '90', '3.1270'], ['far end', '0', '3.1260'], ['far end', '90', '3.1272']])
            ->read('Shell length', 'depth-micrometer', [['1', '0', '4.250'], ['1', '90', '4.251']])
            ->reckoned('The pour', 'pour', ['boring_mm' => '0.090', 'headroom_mm' => '5/8', 'metal' => 'tin', 'kerf_mm' => '1/32', 'base_mm' => '1', 'washer_mm' => '0.125', 'rod_mm' => '1.100', 'seen' => 'sound'], [
                'unit' => 'in', 'from' => ['journal_mm' => 'Journal', 'shell_bore_mm' => 'Shell bore', 'length_mm' => 'Shell length'],
                'rounds' => [['first pour: the putty of the dam was damp', ['boring_mm' => '0.090', 'headroom_mm' => '3/8', 'metal' => 'tin', 'kerf_mm' => '1/32', 'seen' => 'pores']]],
                'note' => 'Finish boring and the oil hole are left to whoever bores it in place.',
            ])
            ->nothingOpen();
    }

    private function block(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The relief valve is lost; the pump is to run without one, at the pressure of the tank.', 'cause' => 'lost', 'does' => 'Leads three ways together on the pump’s face.', 'quantity' => 1,
                'wanted_by' => '2027-04-09', 'if_it_fails' => 'It drips.', 'gates_answered' => true,
            ])
            ->known(['mates' => 'the face and one fitting'])
            ->materials(['Mounting face' => 'grey cast iron, ordinary', 'Block' => 'aluminium alloy, wrought, aged'])
            ->noted('drawing', [
                'Block width' => ['size' => '3.25'], 'Block height' => ['size' => '2'], 'Block thickness' => ['size' => '1.25'], 'Main port' => ['size' => '0.5'], 'Outlet drilling' => ['size' => '5/16'],
            ], 'in')
            ->surfaceIs('Inlet thread', ['shape' => '1/4 BSP'])
            ->reckoned('Which drillings meet', 'ports', [
                'block' => "x_mm: 3.25\ny_mm: 2\nz_mm: 1.25",
                'drillings' => "name; from; to; diameter_mm\nmain; 1.625 1 0; 1.625 1 0.95; 0.5\ninlet; 0 1 0.625; 1.625 1 0.625; 0.344\noutlet; 3.25 1 0.625; 1.2 1 0.625; 5/16",
            ], ['unit' => 'in', 'note' => 'Places from the lower left corner of the face, which is below.'])
            ->reckoned('Turn of the fitting', 'fitting-turn', ['pitch_mm' => '1/19', 'contact_deg' => '35', 'wanted_deg' => '90'], ['unit' => 'in'])
            ->nothingOpen();
    }

    private function clock(DemoJob $job): DemoJob
    {
        return $job
            ->takenIn([
                'failed' => 'The lever is bent and its pin hole is a slot.', 'cause' => 'wear', 'does' => 'Lifts the hammer at the hour.', 'quantity' => 1, 'wanted_by' => '2027-04-30',
                'if_it_fails' => 'The clock does not strike.', 'gates_answered' => true,
            ])
            ->known(['original' => 'the bent lever', 'mates' => 'shaft and pin'])
            ->partIs('Lever', ['tests' => ['magnet' => 'strong', 'file' => 'bites', 'spark' => 'long']])
            ->noted('eyeballed', [
                'Hub bore' => ['size' => '16', 'x' => '0', 'y' => '0'], 'Hub boss' => ['size' => '32', 'x' => '0', 'y' => '0'],
                'Pin bore' => ['size' => '8', 'x' => '142', 'y' => '-18'], 'Pin boss' => ['size' => '18', 'x' => '142', 'y' => '-18'],
            ])
            ->clears('Lever end past the frame', ['travel' => 'swing', 'other' => 'round', 'arm' => '143.1 mm', 'mover' => '18 mm', 'from_deg' => -32.0, 'to_deg' => 24.0, 'x' => '157 mm', 'y' => '26 mm', 'other_size' => '14 mm', 'doubt' => '0.5 mm', 'least' => '2 mm']);
    }
}
