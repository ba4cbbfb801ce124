<?php

declare(strict_types=1);

namespace Tests\Feature;

/** The tables over HTTP. */
final class TablesTest extends FeatureTestCase
{
    public function test_a_fit_is_looked_up_and_found(): void
    {
        $look = $this->api(
            'POST',
            '/api/fits/look',
            ['size' => ['typed' => '25 mm', 'unit' => 'in'], 'fit' => 'H7/p6'],
            200,
        );
        self::assertSame('25.035', $look['shaft_shown']['upper']['mm']);
        self::assertSame(
            'fit',
            $this->api('POST', '/api/fits/look', ['size' => ['typed' => '25', 'unit' => 'mm'], 'fit' => 'snug'], 422)[
                'error'
            ]['field'],
        );
        self::assertSame(
            'size',
            $this->api('POST', '/api/fits/look', ['size' => ['typed' => 'x', 'unit' => 'mm'], 'fit' => 'H7/p6'], 422)[
                'error'
            ]['field'],
        );
        self::assertStringContainsString(
            'above 24 mm',
            $this->api('POST', '/api/fits/look', ['size' => ['typed' => '20', 'unit' => 'mm'], 'fit' => 'H7/t6'], 422)[
                'error'
            ]['message'],
        );
        $found = $this->api('POST', '/api/fits/find', ['text' => '0 to 0.04 mm tight at 40 mm', 'unit' => 'in'], 200);
        self::assertEqualsWithDelta(40.0, $found['size_mm'], 1e-9);
        self::assertNotSame([], $found['fits']);
        self::assertSame(
            'text',
            $this->api('POST', '/api/fits/find', ['text' => 'snug', 'unit' => 'in'], 422)['error']['field'],
        );
    }

    public function test_a_card_for_the_wall(): void
    {
        $pdf = $this->get(
            '/api/fits/card?unit=mm&paper=letter&rows='.urlencode('25 mm|H7/p6;1.25 in|FN2'),
        )->assertOk();
        self::assertStringStartsWith('%PDF', (string) $pdf->getContent());
        self::assertSame('rows', $this->get('/api/fits/card?rows=')->assertStatus(422)->json('error.field'));
        $this->get('/api/fits/card?rows='.urlencode('25|snug'))->assertStatus(422);
        $this->get('/api/fits/card?rows='.urlencode(str_repeat('25|H7/p6;', 41)))->assertStatus(422);
    }

    public function test_which_bearing(): void
    {
        self::assertSame(
            '6204',
            $this->api('POST', '/api/bearings/find', ['designation' => '6204-2RS C3'], 200)['bearings'][0][
                'designation'
            ],
        );
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        self::assertSame(
            '6205',
            $this->api('POST', '/api/bearings/find', ['bore' => $mm('25.01'), 'outside' => $mm('51.97')], 200)[
                'bearings'
            ][0]['designation'],
        );
        self::assertSame(
            'none-like-it',
            $this->api('POST', '/api/bearings/find', ['bore' => $mm('25.4'), 'outside' => $mm('99')], 200)['notes'][0][
                'code'
            ],
        );
        $this->api('POST', '/api/bearings/find', ['designation' => 'nonesuch'], 422);
        $this->api('POST', '/api/bearings/find', [], 422);
    }
}
