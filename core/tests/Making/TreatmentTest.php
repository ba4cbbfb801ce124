<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Hardness;
use Oldpart\Core\Catalogue\HardnessScale;
use Oldpart\Core\Making\Treatment;
use Oldpart\Core\Tests\Evaluate\KindJob;
use PHPUnit\Framework\TestCase;

/** What was done to a surface, and what follows: common practice of the trade. */
final class TreatmentTest extends TestCase
{
    use KindJob;

    public function test_each_says_what_follows_for_cutting_and_for_making(): void
    {
        self::assertGreaterThan(5, count(Treatment::all()));
        foreach (Treatment::all() as $treatment) {
            self::assertStringNotContainsString('{', $treatment->cutting()->say->mm, $treatment->code);
            self::assertNotSame('', $treatment->making()->say->mm);
        }
        self::assertStringContainsString('0.500 mm to 1.500 mm deep', Treatment::orNull('case-hardened')?->cutting()->say->mm ?? '');
        self::assertNull(Treatment::orNull('painted'));
        self::assertNull(Treatment::orNull(null));
    }

    public function test_a_hardness_of_its_own(): void
    {
        self::assertNotNull(Treatment::hardness(Hardness::of(HardnessScale::RockwellC, 58)));
        self::assertNull(Treatment::hardness(Hardness::of(HardnessScale::Brinell, 180)));
        // Below the scale: an answer, and a soft one.
        self::assertNull(Treatment::hardness(Hardness::of(HardnessScale::RockwellC, 12)));
    }

    public function test_a_seat_that_is_cut_again_says_its_skin(): void
    {
        $this->job('repair-sleeve')->read('Seat turned on the shaft', 'outside-micrometer', '29.900')
            ->is('Seat turned on the shaft', ['work' => 'cut', 'treated' => 'case-hardened', 'hardness' => ['scale' => 'HRC', 'value' => 59, 'where' => 'beside it']]);
        $codes = array_map(static fn (Note $n): string => $n->code, $this->card('Seat turned on the shaft')->notes);
        self::assertContains('treated', $codes);
        self::assertContains('hard-surface', $codes);
    }

    public function test_a_new_seat_that_is_to_be_plated_is_told_of_the_plating(): void
    {
        $this->job('stepped-shaft')->is('Left bearing seat', ['treated' => 'plated']);
        $notes = array_column(array_map(static fn (Note $n): array => [$n->code, $n->say->mm], $this->card('Left bearing seat')->notes), 1, 0);
        self::assertStringContainsString('twice the plating', $notes['to-be-treated'] ?? '');
    }

    public function test_a_ground_seat_is_taken_for_as_smooth_as_ground_ones_are(): void
    {
        $this->job('stepped-shaft')->is('Left bearing seat', ['treated' => 'ground']);
        $surface = \Oldpart\Core\Facts\JobFacts::fromArray($this->facts)->surface($this->id('Left bearing seat'));
        self::assertEquals(\Oldpart\Core\Joint\Roughness::of('ground'), $surface?->roughness());
    }

    /** From 40 HRC on a file skates, just below it bites. Common practice, no source. */
    public function test_where_a_file_skates(): void
    {
        self::assertNotNull(Treatment::hardness(Hardness::of(HardnessScale::RockwellC, 40)));
        self::assertNull(Treatment::hardness(Hardness::of(HardnessScale::RockwellC, 39.5)));
    }

    /** What is hard is warned of where it is cut; what is not is told. */
    public function test_hard_is_a_warning(): void
    {
        self::assertSame('caution', Treatment::orNull('case-hardened')?->cutting()->severity->value);
        self::assertSame('info', Treatment::orNull('plated')?->cutting()->severity->value);
    }

    /** Said to the nearest whole: 58.6 is 59. */
    public function test_a_hardness_is_said_to_the_nearest_whole(): void
    {
        $says = static fn (float $hrc): string => Treatment::hardness(Hardness::of(HardnessScale::RockwellC, $hrc))->say->mm ?? '';
        self::assertStringStartsWith('59 HRC', $says(58.6));
        self::assertStringStartsWith('58 HRC', $says(58.4));
    }
}
