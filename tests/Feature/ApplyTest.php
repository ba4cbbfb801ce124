<?php

declare(strict_types=1);

namespace Tests\Feature;

/** A list of changes is one: all or none, one version, one way back. */
final class ApplyTest extends FeatureTestCase
{
    /** @return array<string, mixed> */
    private function reading(string $surface, string $typed): array
    {
        return [
            'surface' => $surface,
            'station' => 'mouth',
            'angle' => '0',
            'value' => ['typed' => $typed, 'unit' => 'in'],
            'instrument' => 'three-point',
        ];
    }

    public function test_several_changes_are_one(): void
    {
        $state = $this->startJob();
        $bore = self::idOf($state, 'surfaces', 'Housing bore');
        $part = self::idOf($state, 'parts', 'Shaft');
        $body = [
            'version' => 1,
            'request' => 'all',
            'changes' => [
                ['list' => null, 'fact' => ['machine' => 'Loom']],
                ['list' => 'readings', 'thing' => 'r1', 'fact' => $this->reading($bore, '1.1')],
                ['list' => 'readings', 'thing' => 'r1', 'fact' => ['value' => ['typed' => '1.2', 'unit' => 'in']]],
                ['list' => 'parts', 'thing' => $part, 'fact' => null],
                ['list' => null, 'fact' => ['part' => 'Sleeve', 'machine' => 'Mill']],
            ],
        ];
        $after = $this->api('POST', '/api/jobs/job-1/changes', $body, 200);
        self::assertSame(
            [2, 'Mill', 'Sleeve'],
            [$after['version'], $after['facts']['machine'], $after['facts']['part']],
        );
        self::assertSame(
            ['1.2', ['1.1']],
            [
                $after['facts']['readings'][0]['value']['typed'],
                array_column($after['facts']['readings'][0]['history'], 'typed'),
            ],
        );
        self::assertNotContains('Shaft', array_column($after['facts']['parts'], 'name'));
        self::assertSame(
            2,
            $this->api('POST', '/api/jobs/job-1/changes', $body, 200)['version'],
            'sent twice it is one',
        );
        $back = $this->api('POST', '/api/jobs/job-1/undo', ['version' => 2, 'request' => 'u'], 200);
        self::assertEquals($state['facts'], $back['facts'], 'one undo takes all of it back');
        self::assertFalse($back['can_undo']);
        self::assertEquals(
            $after['facts'],
            $this->api('POST', '/api/jobs/job-1/redo', ['version' => 3, 'request' => 'v'], 200)['facts'],
        );
    }

    public function test_where_one_is_refused_none_stands(): void
    {
        $state = $this->startJob();
        $bore = self::idOf($state, 'surfaces', 'Housing bore');
        $error = $this->api(
            'POST',
            '/api/jobs/job-1/changes',
            [
                'version' => 1,
                'request' => 'all',
                'changes' => [
                    ['list' => null, 'fact' => ['machine' => 'Loom']],
                    ['list' => 'readings', 'thing' => 'r1', 'fact' => $this->reading($bore, '1.1')],
                    ['list' => 'readings', 'thing' => 'r2', 'fact' => $this->reading($bore, 'an inch')],
                ],
            ],
            422,
        )['error'];
        self::assertStringStartsWith('readings.1', $error['field']);
        self::assertEquals($state['facts'], $this->api('GET', '/api/jobs/job-1', null, 200)['facts']);
    }

    /**
     * What comes first in the list is held against the schema before what follows is laid over it, or taken away with
     * it.
     */
    public function test_an_unfinished_thing_changed_again_is_refused_in_words(): void
    {
        $state = $this->startJob();
        $unfinished = [
            'surface' => self::idOf($state, 'surfaces', 'Housing bore'),
            'value' => ['typed' => '1.1', 'unit' => 'in'],
        ];
        foreach (
            [
                ['readings', 'r1', ['station' => 'middle'], $unfinished, 'readings.0'],
                ['parts', 'p9', null, ['origin' => 'found'], 'parts.'],
                ['surfaces', 's9', null, ['kind' => 'bore'], 'surfaces.'],
            ] as [$list, $thing, $then, $first, $field]
        ) {
            $error = $this->api(
                'POST',
                '/api/jobs/job-1/changes',
                [
                    'version' => 1,
                    'request' => $thing,
                    'changes' => [
                        ['list' => $list, 'thing' => $thing, 'fact' => $first],
                        ['list' => $list, 'thing' => $thing, 'fact' => $then],
                    ],
                ],
                422,
            )['error'];
            self::assertStringStartsWith($field, $error['field']);
        }
        self::assertEquals($state['facts'], $this->api('GET', '/api/jobs/job-1', null, 200)['facts']);
    }

    public function test_what_is_no_list_of_changes_is_refused(): void
    {
        $this->startJob();
        foreach (
            [
                null,
                [],
                'x',
                ['list' => 'readings'],
                [['list' => 'wishes', 'thing' => 'x', 'fact' => ['a' => 1]]],
                [['list' => 'readings', 'fact' => ['a' => 1]]],
                [['list' => null, 'fact' => null]],
                array_fill(0, 51, ['list' => null, 'fact' => ['machine' => 'x']]),
            ] as $changes
        ) {
            $this->api(
                'POST',
                '/api/jobs/job-1/changes',
                ['version' => 1, 'request' => 'r', 'changes' => $changes],
                422,
            );
        }
        $this->api(
            'POST',
            '/api/jobs/nowhere/changes',
            ['version' => 1, 'request' => 'r', 'changes' => [['list' => null, 'fact' => ['machine' => 'x']]]],
            404,
        );
        $this->api(
            'POST',
            '/api/jobs/job-1/changes',
            ['version' => 7, 'request' => 'r', 'changes' => [['list' => null, 'fact' => ['machine' => 'x']]]],
            409,
        );
    }
}
