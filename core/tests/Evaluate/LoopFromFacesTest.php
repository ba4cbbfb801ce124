<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Loops\LoopFromFaces;
use PHPUnit\Framework\TestCase;

/** A ring of 25 in the groove of a spool, 30 wide: what the walk over their faces adds up to, by hand. */
final class LoopFromFacesTest extends TestCase
{
    /** @param  list<string>  $faces  part and place of the face in it, from the left */
    private static function of(array $faces): array
    {
        $job = new SampleJob();
        $mm = static fn (float $v): array => ['typed' => (string) $v, 'unit' => 'mm'];
        $blank = [
            ...$job->facts['surfaces'][0],
            'sketch' => null,
            'size' => null,
            'at' => null,
            'long' => null,
            'datum' => false,
        ];
        $surface = static fn (
            string $id,
            string $part,
            string $name,
            string $kind,
            float $size,
            float $at,
            float $long,
        ): array => [
            ...$blank,
            'id' => $id,
            'part' => $part,
            'name' => $name,
            'kind' => $kind,
            'size' => $mm($size),
            'at' => $mm($at),
            'long' => $mm($long),
        ];
        $part = static fn (string $id, string $name): array => [
            ...$job->facts['parts'][0],
            'id' => $id,
            'name' => $name,
            'origin' => 'found',
        ];
        $job->facts['parts'] = [$part('spool', 'Spool'), $part('ring', 'Ring')];
        $job->facts['reckonings'] = [];
        $job->facts['surfaces'] = [
            $surface('left', 'spool', 'Left flange', 'shaft', 50, 0, 10),
            $surface('middle', 'spool', 'Groove bottom', 'shaft', 30, 10, 30),
            $surface('right', 'spool', 'Right flange', 'shaft', 50, 40, 10),
            $surface('groove', 'spool', 'Groove', 'length', 30, 10, 30),
            $surface('bore', 'ring', 'Ring bore', 'bore', 30, 0, 25),
            $surface('outside', 'ring', 'Ring outside', 'shaft', 48, 0, 25),
            $surface('width', 'ring', 'Ring width', 'length', 25, 0, 25),
        ];
        $job->facts['joints'] = $job->facts['loops'] = $job->facts['clearances'] = [];
        $facts = $job->build();

        return json_decode(
            json_encode(LoopFromFaces::of($facts, JobAnswers::of($facts)->shapes, $faces), JSON_THROW_ON_ERROR),
            true,
            32,
            JSON_THROW_ON_ERROR,
        );
    }

    /** @return list<string> */
    private static function signed(array $loop): array
    {
        return array_map(static fn (array $l): string => ($l['opens'] ? '+' : '-').$l['name'], $loop['lengths']);
    }

    /** Ring against the left flange: 30 − 25 are left at the right, from whichever side the walk begins. */
    public function test_a_gap_between_faces_that_look_at_each_other(): void
    {
        $right = self::of(['ring.1', 'ring.0', 'spool.1', 'spool.2']);
        self::assertTrue($right['closed']);
        self::assertSame(['-Ring width', '+Groove'], self::signed($right));
        self::assertSame('Between “Ring, right end” and “Spool: right flange, shoulder looking left”', $right['name']);
        self::assertEqualsCanonicalizing(
            ['-Ring width', '+Groove'],
            self::signed(self::of(['spool.2', 'spool.1', 'ring.0', 'ring.1'])),
        );
        // Ring against the right flange: the gap is at the left.
        self::assertEqualsCanonicalizing(
            ['-Ring width', '+Groove'],
            self::signed(self::of(['ring.0', 'ring.1', 'spool.2', 'spool.1'])),
        );
    }

    public function test_what_is_missing_is_named(): void
    {
        self::assertStringContainsString('look the same way', self::of(['ring.0', 'ring.1', 'spool.1'])['missing']);
        self::assertStringContainsString(
            'perhaps “Spool, left end”',
            self::of(['ring.0', 'ring.1', 'spool.1'])['missing'],
        );
        self::assertStringContainsString(
            'No length of “Spool” runs from “Spool: right flange, shoulder looking left” to “Spool, right end” yet',
            self::of(['ring.0', 'ring.1', 'spool.2', 'spool.3'])['missing'],
        );
        self::assertStringContainsString('back on the part', self::of(['ring.0', 'ring.1'])['missing']);
        self::assertStringContainsString('Go on', self::of(['ring.0'])['missing']);
        self::assertStringContainsString('across this part', self::of(['ring.1', 'spool.2'])['missing']);
    }
}
