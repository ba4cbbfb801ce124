<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use PHPUnit\Framework\TestCase;

/** What a length upsets when it comes out otherwise. */
final class KnockOnTest extends TestCase
{
    use KindJob;

    /** @return list<string> */
    private function touches(string $label): array
    {
        $answers = json_decode((string) json_encode($this->answers()), true);
        $making = array_column($answers['making'], null, 'label')[$label];

        return array_column($making['touches'], 'mm');
    }

    public function test_gaps_and_engagements(): void
    {
        $this->job('plain-bush');
        $says = implode(' ', $this->touches('Bush length'));
        self::assertStringContainsString('“Bush length to housing” is of this length', $says);
        self::assertSame([], $this->touches('Bush outside'), 'an outside is no length');
        $this->job('stepped-shaft');
        self::assertContains('“Float between the bearings” closes by as much as it is longer.', $this->touches('Between the shoulders'));
    }

    /** A taper of 1 in 8: a face moved by a millimetre changes its mouth by 0.125. */
    public function test_a_taper_on_the_same_part(): void
    {
        $this->job('taper-hub')->is('Hub taper', ['shape' => '1:8']);
        self::assertStringContainsString(
            'changes its end by 0.125 mm on the diameter; deepen it by as much as the mouth is faced.',
            implode(' ', $this->touches('Hub length')),
        );
    }

    public function test_a_thread_and_a_keyway(): void
    {
        $this->job('stepped-shaft')->is('End thread', ['shape' => 'M16'])->is('Keyway', ['shape' => '6 × 6'])->is('Hub seat', ['size' => ['typed' => '22', 'unit' => 'mm']]);
        $says = implode(' ', $this->touches('Hub seat length'));
        self::assertStringContainsString('“End thread”: its full thread is shorter', $says);
        self::assertStringContainsString('“Keyway” lies by as much nearer', $says);
    }
}
