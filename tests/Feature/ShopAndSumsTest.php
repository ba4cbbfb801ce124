<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoShop;
use Oldpart\Core\Sum\Sums;

final class ShopAndSumsTest extends FeatureTestCase
{
    public function test_the_shop_keeps_its_limits_and_refuses_nonsense(): void
    {
        $this->api('GET', '/api/shop', null, 200);
        self::assertSame(5000, $this->api('PATCH', '/api/shop', ['press_n' => 5000], 200)['press_n']);
        self::assertSame(
            'temperature_c',
            $this->api('PATCH', '/api/shop', ['temperature_c' => 500], 422)['error']['field'],
        );
        self::assertSame(
            'lathe_holds_mm',
            $this->api('PATCH', '/api/shop', ['lathe_holds_mm' => 'half'], 422)['error']['field'],
        );
        self::assertSame('colour', $this->api('PATCH', '/api/shop', ['colour' => 'red'], 422)['error']['field']);
        self::assertSame(5000, $this->api('GET', '/api/shop', null, 200)['press_n']);
    }

    /** Nothing that was typed is cut off without a word. */
    public function test_a_drawer_that_is_too_full_is_refused(): void
    {
        $taps = implode(', ', array_fill(0, 600, 'M6'));
        $said = $this->api('PATCH', '/api/shop', ['taps' => $taps], 422);
        self::assertStringContainsString('2000', (string) json_encode($said));
        $this->api('PATCH', '/api/shop', ['taps' => substr($taps, 0, 1998)], 200);
    }

    /** Its own machines: kept as typed, used by every job of the shop from then on, refused by their name. */
    public function test_machines_of_the_shop_are_used_by_jobs_that_were_there_before(): void
    {
        $this->seed(DemoShop::class);
        $plan = fn (): string => (string) json_encode($this->api('GET', '/api/jobs/demo-tedder', null, 200)['answers']['plan'], JSON_UNESCAPED_UNICODE);
        self::assertStringNotContainsString('Short bed', $plan());
        $lathe = ['id' => 'm-1', 'kind' => 'lathe', 'name' => 'Short bed', 'unit' => 'in', 'figures' => ['swing_mm' => '10', 'centres_mm' => '6', 'spindle_mm' => '3/4', 'holds_mm' => '0.0002']];
        $shop = $this->api('PATCH', '/api/shop', ['machines' => [$lathe]], 200);
        self::assertSame('3/4', $shop['machines'][0]['figures']['spindle_mm']);
        self::assertStringContainsString('On: Short bed.', $plan());
        self::assertStringContainsString('longer than the lathe takes between centres', $plan());
        $bad = [...$lathe, 'figures' => ['swing_mm' => 'ten or so']];
        $said = $this->api('PATCH', '/api/shop', ['machines' => [$bad]], 422)['error'];
        self::assertSame('machines.0.figures.swing_mm', $said['field']);
        self::assertStringContainsString('Short bed, swing over the bed', $said['message']);
        self::assertSame('10', $this->api('GET', '/api/shop', null, 200)['machines'][0]['figures']['swing_mm']);
        // They stay the shop's: a job brought in elsewhere does not bring them along.
        $file = $this->send('GET', '/api/jobs/demo-tedder/file')->getContent();
        self::assertStringContainsString('Short bed', (string) $file);
        $this->api('PATCH', '/api/shop', ['machines' => []], 200);
        self::assertStringNotContainsString('Short bed', $plan());
    }

    public function test_machines_as_a_table_and_back(): void
    {
        $this->seed(DemoShop::class);
        $csv = (string) $this->send('GET', '/api/shop/machines')->getContent();
        self::assertStringContainsString('lathe,Lathe,in,"Swing over the bed",13', $csv);
        $read = $this->api('POST', '/api/shop/machines', ['text' => $csv], 200);
        self::assertSame([], $read['refused']);
        $before = $this->api('GET', '/api/shop', null, 200)['machines'];
        self::assertSame(array_column($before, 'figures'), array_column($read['machines'], 'figures'));
        $both = $this->api('PATCH', '/api/shop', ['machines' => [...$before, ...$read['machines']]], 200)['machines'];
        self::assertCount(2 * count($before), $both);
        self::assertSame('text', $this->api('POST', '/api/shop/machines', ['text' => 'x,y'], 422)['error']['field']);
    }

    /** Drills and reamers of the drawer decide how a hole comes about, in every job; what can't be read is refused. */
    public function test_the_drawer_s_reamers_are_used(): void
    {
        $this->seed(DemoShop::class);
        $said = $this->api('PATCH', '/api/shop', ['reamers' => '1/2, wide'], 422)['error'];
        self::assertSame('reamers', $said['field']);
        self::assertStringContainsString('“wide”', $said['message']);
        $hole = function (): string {
            $state = $this->api('GET', '/api/jobs/demo-carder', null, 200);

            return (string) json_encode(array_column($state['answers']['making'], 'hole'), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        };
        self::assertNotSame('[]', $hole());
        $this->api('PATCH', '/api/shop', ['drills' => '1/8, 1/4'], 200);
        self::assertStringContainsString('1/4', $hole());
        self::assertStringContainsString('more is left for what follows', $hole());
        self::assertSame('1/8, 1/4', $this->api('GET', '/api/shop', null, 200)['drills']);
        // A bare number stays what it was, whatever unit the shop works in later.
        $this->api('PATCH', '/api/shop', ['drills' => '0.25'], 200);
        $this->api('PATCH', '/api/shop', ['unit' => 'mm'], 200);
        self::assertSame('in', $this->api('GET', '/api/shop', null, 200)['tool_unit']);
        self::assertStringContainsString('6.350', $hole());
    }

    public function test_the_catalogue_lists_what_can_be_chosen(): void
    {
        $catalogue = $this->api('GET', '/api/catalogue', null, 200);
        self::assertContains('grey cast iron, ordinary', array_column($catalogue['materials'], 'name'));
        self::assertCount(11, $catalogue['gates'], 'every kind of work that stops and defers');
    }

    public function test_every_sum_over_http_is_the_sum_of_the_core(): void
    {
        foreach ($this->api('GET', '/api/sums', null, 200)['sums'] as $sum) {
            $out = $this->api('POST', "/api/sums/{$sum['name']}", $sum['example'], 200);
            self::assertSame(json_decode((string) json_encode(Sums::run($sum['name'], $sum['example'])), true), $out);
        }
    }

    public function test_sums_refuse_with_the_field(): void
    {
        self::assertSame(
            'text',
            $this->api('POST', '/api/sums/length', ['text' => '3/0', 'unit' => 'in'], 422)['error']['field'],
        );
        self::assertSame(
            'unit',
            $this->api('POST', '/api/sums/length', ['text' => '3', 'unit' => 'ell'], 422)['error']['field'],
        );
        self::assertSame('unknown-sum', $this->api('POST', '/api/sums/magic', ['a' => 1], 422)['error']['code']);
        $this->api('POST', '/api/sums/press', [], 422);
    }
}
