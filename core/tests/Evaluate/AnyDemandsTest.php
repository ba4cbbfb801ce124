<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whatever is said of surfaces, joints, trials and decisions, a job of any kind answers, and says no more than it knows. */
final class AnyDemandsTest extends TestCase
{
    /** @return iterable<string, array{JobFacts, int}> */
    public static function jobs(): iterable
    {
        $seed = 0;
        foreach (EachKind::jobs() as $code => $facts) {
            yield $code => [$facts, ++$seed];
        }
    }

    #[DataProvider('jobs')]
    public function test_it_answers(JobFacts $facts, int $seed): void
    {
        mt_srand($seed);
        for ($turn = 0; $turn < 2; $turn++) {
            $job = JobFacts::fromArray(self::said(JobFile::toArray($facts), $turn));
            $answers = JobAnswers::of($job);
            $said = json_decode(json_encode($answers, JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);
            foreach ($answers->make as $entry) {
                self::assertTrue($entry->band === null || $entry->band->upperMm > 0, $entry->label);
                self::assertTrue($entry->band !== null || $entry->blocked !== null || $entry->free, $entry->label);
            }
            $keys = array_column($said['make'], 'key');
            self::assertSame($keys, array_values(array_unique($keys)), 'one line for a surface in a phase');
            $open = array_filter(
                [...$said['hand_over']['sizes'], ...$said['hand_over']['fits']],
                static fn (array $row): bool => $row['decided'] === null
                    && in_array($row['verdict'], ['above', 'below', 'outside', 'cannot-tell'], true),
            );
            self::assertFalse($said['hand_over']['good'] && $open !== []);
        }
    }

    /** @param  list<mixed>  $of */
    private static function one(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }

    /** @return ?array<string, mixed> */
    private static function length(): ?array
    {
        return self::one([null, ['typed' => self::one(['0', '0.01', '0.5', '30', '700']), 'unit' => self::one(['mm', 'in'])]]);
    }

    /**
     * @param  array<string, mixed>  $job
     * @return array<string, mixed>
     */
    private static function said(array $job, int $turn): array
    {
        $n = 0;
        foreach ($job['surfaces'] as &$s) {
            $s['work'] = self::one([null, null, 'cut', 'built up']);
            $s['size'] = self::one([$s['size'], $s['size'], self::length()]);
            $s['sure'] = self::one([null, self::length()]);
            $s['source'] = self::one([null, 'drawing', 'guess', 'catalogue']);
            $s['demand'] = self::one([null, [
                'kind' => self::one(['limits', 'not-over', 'not-under', 'free', 'as-it-comes', 'as-the-old', 'stock']),
                'plus' => self::length(),
                'minus' => self::length(),
                'class' => self::one([null, 'f', 'm', 'c', 'v']),
            ]]);
            if (mt_rand(0, 2) === 0) {
                $job['cuts'][] = [
                    'id' => "cut-{$turn}-".++$n, 'surface' => $s['id'], 'phase' => self::one(['only', 'before', 'after']),
                    'dialled' => null, 'after' => ['typed' => self::one(['20', '25.4', '30.01', '40']), 'unit' => 'mm'],
                    'instrument' => self::one(['calliper', 'outside-micrometer']), 'part_c' => null, 'set_aside' => null, 'at' => null,
                ];
            }
            if (mt_rand(0, 3) === 0) {
                $job['concessions'][] = [
                    'id' => "so-{$turn}-".++$n, 'surface' => $s['id'], 'phase' => 'only', 'joint' => null, 'loop' => null, 'cut' => null,
                    'decision' => self::one(['accepted', 'by others', 'not measured']), 'by' => 'the bench', 'why' => 'it holds', 'at' => null,
                ];
            }
        }
        unset($s);
        foreach ($job['readings'] as &$r) {
            $r['state'] = self::one(['before', 'built up', 'roughed', 'done']);
            $r['worn'] = self::one([null, true, false]);
        }
        unset($r);
        foreach ($job['joints'] as &$j) {
            $j['first'] = self::one([null, 'inner', 'outer']);
            $j['purpose'] = self::one([$j['purpose'], $j['purpose'], 'as-the-old-pair']);
            $job['trials'][] = [
                'id' => "t-{$turn}-".++$n, 'joint' => $j['id'], 'loop' => null, 'cut' => self::one([null, $job['cuts'][0]['id'] ?? null]),
                'seen' => self::one(["won't enter", 'starts', 'slides', 'drops in', 'gap']), 'amount' => null, 'turn' => null,
                'pitch' => null, 'note' => '', 'at' => null,
            ];
        }
        unset($j);
        foreach ($job['loops'] as $loop) {
            $job['trials'][] = [
                'id' => "t-{$turn}-".++$n, 'joint' => null, 'loop' => $loop['id'], 'cut' => null, 'seen' => self::one(['binds', 'gap', 'slides']),
                'amount' => self::length(), 'turn' => self::one([null, 0.125]), 'pitch' => self::length(), 'note' => '', 'at' => null,
            ];
        }

        return $job;
    }
}
