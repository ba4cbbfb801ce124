<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Jobs made over HTTP, so that a test begins where its own path does. */
trait BuildsJobs
{
    /** @var array<string, int> as each job was when it was last changed here */
    private array $versions = [];

    /** @param  array<string, mixed>  $body */
    protected function post(string $method, string $path, array $body): mixed
    {
        $answer = file_get_contents($this->rig->url.$path, false, stream_context_create(['http' => [
            'method' => $method,
            'header' => "Content-Type: application/json\r\nAccept: application/json",
            'content' => (string) json_encode($body),
            'ignore_errors' => true,
        ]]));

        return json_decode((string) $answer, true);
    }

    /** @return array<string, mixed> the state of a fresh job of a kind, with all that is offered beside it */
    protected function newJob(string $kind): array
    {
        $id = 'fits-'.bin2hex(random_bytes(4));
        $this->post('POST', '/api/jobs', [
            'id' => $id,
            'kind' => $kind,
            'machine' => 'Test mangle',
            'part' => 'Part',
            'unit' => 'in',
        ]);
        $state = $this->change($id, 'PATCH', '', ['take_in' => ['gates_answered' => true]]);
        while (($offers = $state['answers']['survey']['offers']) !== []) {
            $state = $this->takeOffer($id, $offers[0]['changes']);
        }

        return $state;
    }

    /**
     * @param  list<array<string, mixed>>  $changes  whose new things have no ids yet
     * @return array<string, mixed> the job after it
     */
    private function takeOffer(string $id, array $changes): array
    {
        $salt = bin2hex(random_bytes(4));
        $fresh = static fn (array $m): string => '"n-'.md5($salt.$m[1]).'"';

        return $this->sent($id, 'POST', '/changes', [
            'changes' => json_decode((string) preg_replace_callback('/"new:([^"]+)"/', $fresh, (string) json_encode($changes)), true),
        ]);
    }

    /**
     * @param  array<string, mixed>  $fact
     * @return array<string, mixed> the job after it
     */
    protected function change(string $id, string $method, string $path, array $fact): array
    {
        return $this->sent($id, $method, $path, ['fact' => $fact]);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed> the job after it
     */
    private function sent(string $id, string $method, string $path, array $body): array
    {
        $send = fn (int $version): mixed => $this->post($method, "/api/jobs/{$id}{$path}", [
            ...$body,
            'version' => $version,
            'request' => bin2hex(random_bytes(8)),
        ]);
        $state = isset($this->versions[$id]) ? $send($this->versions[$id]) : null;
        // Not yet asked, or the page changed it meanwhile.
        $state = isset($state['answers']) ? $state : $send($this->api("/api/jobs/{$id}")['version']);
        self::assertArrayHasKey('answers', $state, (string) json_encode($state));
        $this->versions[$id] = $state['version'];

        return $state;
    }

    /** @param  array<string, mixed>  $state */
    protected function read(array $state, string $surface, string $typed, string $instrument, string $angle = '0'): void
    {
        $this->sent($state['facts']['id'], 'POST', '/changes', [
            'changes' => [$this->reading($state, $surface, $typed, $instrument, $angle)],
        ]);
    }

    /**
     * @param  array<string, mixed>  $state
     * @return array{list: string, thing: string, fact: array<string, mixed>}
     */
    private function reading(array $state, string $surface, string $typed, string $instrument, string $angle): array
    {
        return ['list' => 'readings', 'thing' => 'r-'.bin2hex(random_bytes(6)), 'fact' => [
            'surface' => array_column($state['facts']['surfaces'], 'id', 'name')[$surface],
            'station' => 'mouth',
            'angle' => $angle,
            'value' => ['typed' => $typed, 'unit' => 'in'],
            'instrument' => $instrument,
        ]];
    }

    /** @return array<string, mixed> a plain bush read well enough for a press, its boss as stout as said */
    protected function readBush(string $boss, string $material = 'grey cast iron, ordinary'): array
    {
        $state = $this->newJob('plain-bush');
        $id = $state['facts']['id'];
        $parts = array_column($state['facts']['parts'], 'id', 'name');
        $changes = [];
        foreach (
            [
                'Housing' => $material,
                'Bush' => 'leaded tin bronze (bearing)',
                'Shaft' => 'medium-carbon steel, normalised',
            ] as $part => $made
        ) {
            $changes[] = ['list' => 'parts', 'thing' => $parts[$part], 'fact' => ['material' => $made]];
        }
        foreach (
            [
                ['Housing bore', '1.2500', 'three-point', '0'],
                ['Housing bore', '1.2501', 'three-point', '90'],
                ['Shaft journal', '0.8750', 'outside-micrometer', '0'],
                ['Boss outside', $boss, 'calliper', '0'],
                ['Housing length', '1.500', 'depth-micrometer', '0'],
            ] as $reading
        ) {
            $changes[] = $this->reading($state, ...$reading);
        }

        return $this->sent($id, 'POST', '/changes', ['changes' => $changes]);
    }
}
