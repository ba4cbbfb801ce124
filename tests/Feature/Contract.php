<?php

declare(strict_types=1);

namespace Tests\Feature;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/** The contract in openapi/, to hold responses against. */
final class Contract
{
    /** Of any path where people sign in, as the head of the contract says. */
    private const NOT_IN = [401, 403, 429];

    private const BASE = 'https://contract.test/';

    private readonly Validator $validator;

    /** @var array<string, array<string, mixed>> */
    private array $files = [];

    public function __construct(private readonly string $root)
    {
        $this->validator = new Validator();
        $this->validator->setMaxErrors(3);
        foreach (glob("{$root}/openapi/*.yaml") ?: [] as $path) {
            $name = 'openapi/'.basename($path);
            $this->files[$name] = (array) Yaml::parseFile($path);
            $this->register(
                $name,
                json_decode((string) json_encode(Yaml::parseFile($path, Yaml::PARSE_OBJECT_FOR_MAP)), false),
            );
        }
        $schema = json_decode((string) file_get_contents("{$root}/core/data/job-file.schema.json"));
        // Known here by where it lies, as the contract refers to it.
        unset($schema->{'$id'});
        $this->register('core/data/job-file.schema.json', $schema);
    }

    /** Null when the body is as the contract says; else what is wrong. */
    public function wrong(string $method, string $path, int $status, string $body): ?string
    {
        foreach ($this->files['openapi/openapi.yaml']['paths'] as $template => $item) {
            $pattern = '~^'.preg_replace('~\\\\\{\w+\\\\\}~', '[^/]+', preg_quote($template, '~')).'$~';
            if (
                preg_match($pattern, $path) === 1
                && ($template === $path || ! isset($this->files['openapi/openapi.yaml']['paths'][$path]))
            ) {
                return $this->against($item['$ref'], strtolower($method), $status, $body);
            }
        }

        return "{$path} is not in the contract";
    }

    private function against(string $ref, string $method, int $status, string $body): ?string
    {
        [$file, $pointer] = explode('#', 'openapi/'.ltrim($ref, './'));
        $operation = $this->at($file, $pointer)[$method] ?? null;
        $response = $operation['responses'][(string) $status] ?? ($operation['responses'][$status] ?? null);
        if ($response === null && in_array($status, self::NOT_IN, true)) {
            $result = $this->validator->validate(
                json_decode($body),
                self::BASE.'openapi/jobs.yaml#/responses/Refused/content/application~1json/schema',
            );

            return $result->error() === null ? null : 'A refusal is not said as one.';
        }
        if ($response === null) {
            return "{$method} with status {$status} is not in the contract";
        }
        $at = "{$pointer}/{$method}/responses/{$status}";
        if (isset($response['$ref'])) {
            [$where, $at] = explode('#', $response['$ref']);
            $file = $where === '' ? $file : 'openapi/'.ltrim($where, './');
            $response = $this->at($file, $at);
        }
        if (! isset($response['content']['application/json'])) {
            return null;
        }
        $result = $this->validator->validate(
            json_decode($body),
            self::BASE."{$file}#{$at}/content/application~1json/schema",
        );
        $error = $result->error();

        return $error === null ? null : (string) json_encode((new ErrorFormatter())->format($error));
    }

    /** @return array<string, mixed> */
    private function at(string $file, string $pointer): array
    {
        $value = $this->files[$file];
        foreach (array_filter(explode('/', $pointer), static fn (string $s): bool => $s !== '') as $step) {
            $value = $value[strtr($step, ['~1' => '/', '~0' => '~'])];
        }

        return $value;
    }

    private function register(string $name, mixed $schema): void
    {
        $this->validator->resolver()?->registerRaw($schema, self::BASE.$name);
    }
}
