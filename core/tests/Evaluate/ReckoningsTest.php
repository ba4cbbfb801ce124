<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Evaluate\Reckoned\Reckoned;
use PHPUnit\Framework\TestCase;

/** Sums of a job: what they take from it, what they give it, and how it was before. */
final class ReckoningsTest extends TestCase
{
    use KindJob;

    /**
     * @param  array<string, string>  $given
     * @param  array<string, string>  $from
     * @param  array<string, string>  $gives
     */
    private function reckon(string $sum, array $given, array $from = [], array $gives = [], string $unit = 'mm'): self
    {
        $this->facts['reckonings'] = [
            ...array_filter($this->facts['reckonings'], static fn (array $r): bool => str_starts_with($r['id'], 'own')),
            [
                'id' => 'own-'.++$this->next, 'sum' => $sum, 'name' => ucfirst($sum), 'given' => $given, 'unit' => $unit,
                'from' => array_map($this->id(...), $from), 'gives' => array_map($this->id(...), $gives), 'rounds' => [], 'note' => '',
            ],
        ];

        return $this;
    }

    private function last(): Reckoned
    {
        $all = $this->answers()->reckoned;

        return $all[count($all) - 1];
    }

    /** By hand: a journal of 49.95 bored with 2 on it takes a mandrel of 47.95; the wall is (66.1 − 49.95)/2. */
    public function test_a_pour_takes_its_sizes_from_the_job(): void
    {
        $this->job('poured-bearing')->read('Journal', 'outside-micrometer', '49.950')
            ->read('Shell bore', 'three-point', '66.100')
            ->reckon('pour', ['boring_mm' => '2', 'length_mm' => '90'], ['journal_mm' => 'Journal', 'shell_bore_mm' => 'Shell bore']);
        $pour = $this->last();
        self::assertNull($pour->refused);
        self::assertEqualsWithDelta(47.95, $pour->lengthMm('mandrel_mm'), 1e-6);
        self::assertEqualsWithDelta(8.075, $pour->lengthMm('wall_mm'), 1e-6);
        self::assertSame('Mandrel ⌀ 47.950 mm', $pour->headline()?->mm);
        self::assertSame('49.950 mm', $pour->taken['journal_mm']['says']?->mm);
    }

    public function test_what_is_not_measured_yet_is_named(): void
    {
        $this->job('poured-bearing')->reckon('pour', ['boring_mm' => '2'], ['journal_mm' => 'Journal']);
        $refused = $this->last()->refused;
        self::assertSame('journal_mm', $refused['field'] ?? null);
        self::assertStringContainsString('no size of “Journal” yet: measure it', $refused['message'] ?? '');
    }

    /** By hand: (47.95 … ) the mandrel is a surface of its own here; half of it goes on to the next sum. */
    public function test_what_comes_out_is_the_size_of_a_surface_and_of_the_next_sum(): void
    {
        $this->job('nozzle')->is('Nozzle flange', ['criticality' => 'clearance'])
            ->reckon('scale', ['pairs' => "theirs_mm, ours_mm\n100, 80\n200, 160", 'sizes_mm' => '150, 30'], [], ['scaled_mm.0.mm' => 'Nozzle flange', 'scaled_mm.1.mm' => 'Throat'])
            ->reckon('casting', ['outside' => 'yes', 'allowance_mm' => '3', 'shrink_percent' => '1'], ['finished_mm' => 'Nozzle flange']);
        $card = $this->card('Nozzle flange');

        // 150 · 0.8 is 120; ±0.3 is ISO 2768-1 m over 30 to 120.
        self::assertEqualsWithDelta(120, $card->band?->middleMm() ?? 0.0, 1e-6);
        self::assertEqualsWithDelta(0.6, $card->band?->widthMm() ?? 0.0, 1e-6);
        self::assertStringContainsString('From the sum “Scale”.', json_encode($card->remarks, JSON_UNESCAPED_UNICODE) ?: '');
        self::assertEqualsWithDelta(24, $this->card('Throat')->band?->middleMm() ?? 0.0, 1e-6);
        // (120 + 2 · 3) · 1.01, where the mould is made that much larger.
        self::assertEqualsWithDelta(127.26, $this->last()->lengthMm('pattern_mm') ?? 0.0, 0.03);
    }

    /** Before it was tapped true, and after. */
    public function test_how_it_was_before_stays_beside(): void
    {
        $this->job('stepped-shaft')->reckon('run-out', ['near_mm' => '0 0 0 0', 'far_mm' => '0.02 0 -0.02 0', 'apart_mm' => '80']);
        $this->facts['reckonings'][0]['rounds'] = [
            ['given' => ['near_mm' => '0.1 0 -0.1 0', 'far_mm' => '0.3 0 -0.3 0', 'apart_mm' => '80'], 'at' => '2026-11-29T08:00:00Z', 'note' => 'as chucked'],
            ['given' => ['near_mm' => 'bad'], 'at' => '2026-11-29T08:05:00Z', 'note' => ''],
        ];
        $answer = json_decode((string) json_encode($this->last()), true);
        self::assertSame('as chucked', $answer['rounds'][0]['note']);
        self::assertEqualsWithDelta(0.1, $answer['rounds'][0]['result']['near_offset_mm'], 1e-9);
        self::assertArrayNotHasKey('working', $answer['rounds'][0]['result']);
        self::assertNotNull($answer['rounds'][1]['refused']);
        self::assertEqualsWithDelta(0.02, $answer['result']['far_offset_mm'], 1e-9);
    }

    public function test_a_sum_that_is_not_known_here_takes_nothing_else_with_it(): void
    {
        $this->job('stepped-shaft')->reckon('from-another-shop', []);
        self::assertStringContainsString('There is no sum called', $this->last()->refused['message'] ?? '');
        self::assertNotEmpty($this->answers()->make);
    }

    public function test_it_is_withheld_with_the_sizes(): void
    {
        $this->job('stepped-shaft')->reckon('flats', ['diameter_mm' => '20', 'across_flats_mm' => '17']);
        self::assertNotNull($this->last()->result);
        $this->facts['take_in'] = [...$this->facts['take_in'], 'gates' => ['lifting'], 'acceptances' => []];
        self::assertNull($this->last()->result);
        self::assertStringContainsString('accepts responsibility', $this->last()->refused['message'] ?? '');
    }

    public function test_it_survives_a_file(): void
    {
        $this->job('poured-bearing')->reckon('pour', [], ['journal_mm' => 'Journal']);
        $facts = \Oldpart\Core\Exchange\JobFile::fromArray($this->facts);
        self::assertEquals($facts, \Oldpart\Core\Exchange\JobFile::read(\Oldpart\Core\Exchange\JobFile::write($facts)));
        self::assertSame([], $facts->reckonings[0]->given);
    }
}
