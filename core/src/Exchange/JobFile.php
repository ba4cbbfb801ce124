<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Facts\JobFacts;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Schema;
use Opis\JsonSchema\Validator;

/** A job as a file: JSON, checked against data/job-file.schema.json (JSON Schema 2020-12) on reading. */
final class JobFile
{
    public const MAX_BYTES = 20_000_000;

    /** @var array<string, array{Validator, Schema}> for all of a job, and for what was held against it; read once */
    private static array $schemas = [];

    /** @throws BadInput with a sentence, when the text is not a job file */
    public static function read(string $text): JobFacts
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw new BadInput('too-large', 'file', 'This file is over 20 MB: it is not a job file of this version.');
        }
        try {
            $object = json_decode($text, false, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw new BadInput(
                'not-json',
                'file',
                'This is not a job file: it can’t be read as JSON. Choose a file that was exported here.',
            );
        }
        if (! ($object instanceof \stdClass)) {
            throw new BadInput(
                'not-a-job',
                'file',
                'This is not a job file: it holds no job. Choose a file that was exported here.',
            );
        }
        $object = self::emptyObjects(OlderJobFile::upgraded($object));
        self::check($object, true);
        /** @var array<string, mixed> $array */
        $array = json_decode(
            json_encode($object, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );

        return JobFacts::fromArray($array);
    }

    /**
     * The same check for a job that is already decoded.
     *
     * @param  array<string, mixed>  $decoded
     *
     * @throws BadInput
     */
    public static function fromArray(array $decoded): JobFacts
    {
        self::check(self::emptyObjects(self::object($decoded)), true);

        return JobFacts::fromArray($decoded);
    }

    /**
     * Holds some of a decoded job, what was changed, against the schema; what is not there is not asked for, and what
     * it refers to is not looked at.
     *
     * @param  array<string, mixed>  $some
     *
     * @throws BadInput naming the first field that is wrong
     */
    public static function vet(array $some): void
    {
        self::check(self::emptyObjects(self::object($some)), false);
    }

    /** @param  array<string, mixed>  $decoded */
    private static function object(array $decoded): \stdClass
    {
        /** @var \stdClass $object */
        $object = json_decode(
            json_encode((object) $decoded, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            false,
            64,
            JSON_THROW_ON_ERROR,
        );

        return $object;
    }

    public static function write(JobFacts $facts): string
    {
        return json_encode(
            $facts,
            JSON_THROW_ON_ERROR |
                JSON_PRETTY_PRINT |
                JSON_UNESCAPED_UNICODE |
                JSON_UNESCAPED_SLASHES |
                JSON_PRESERVE_ZERO_FRACTION,
        )."\n";
    }

    /** How many of a list a job takes. */
    public static function most(string $list): int
    {
        $schema = Table::read('job-file.schema');
        $most = is_array($schema['properties'] ?? null) ? $schema['properties'][$list]['maxItems'] ?? 5000 : 5000;

        return is_int($most) ? $most : 5000;
    }

    /** @return array<string, mixed> */
    public static function toArray(JobFacts $facts): array
    {
        return self::plain($facts);
    }

    /**
     * Some of a job, as its file would have it decoded.
     *
     * @param  array<string, mixed>|\JsonSerializable  $facts
     * @return array<string, mixed>
     */
    public static function plain(array|\JsonSerializable $facts): array
    {
        /** @var array<string, mixed> $array */
        $array = json_decode(
            json_encode($facts, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );

        return $array;
    }

    /** An empty object that went through PHP comes back as an empty list; the schema wants the object. */
    private static function emptyObjects(\stdClass $job): \stdClass
    {
        foreach (is_array($job->parts ?? null) ? $job->parts : [] as $part) {
            if ($part instanceof \stdClass && ($part->tests ?? null) === []) {
                $part->tests = (object) [];
            }
        }

        $machines = ($job->shop ?? null) instanceof \stdClass ? $job->shop->machines ?? [] : [];
        foreach (is_array($machines) ? $machines : [] as $machine) {
            if ($machine instanceof \stdClass && ($machine->figures ?? null) === []) {
                $machine->figures = (object) [];
            }
        }

        if (($job->plan ?? null) instanceof \stdClass && ($job->plan->remarks ?? null) === []) {
            $job->plan->remarks = (object) [];
        }

        $reckonings = is_array($job->reckonings ?? null) ? $job->reckonings : [];
        $rounds = array_merge(...array_map(
            static fn (mixed $r): array => $r instanceof \stdClass && is_array($r->rounds ?? null) ? $r->rounds : [],
            $reckonings,
        ));
        foreach ([...$reckonings, ...$rounds] as $one) {
            foreach ($one instanceof \stdClass ? ['given', 'from', 'gives'] : [] as $texts) {
                if (($one->{$texts} ?? null) === []) {
                    $one->{$texts} = (object) [];
                }
            }
        }

        return $job;
    }

    /** @param  bool  $whole  whether all of a job has to be there */
    private static function against(\stdClass $decoded, bool $whole): ?ValidationError
    {
        $held = $whole ? null : array_keys(get_object_vars($decoded));
        $of = implode(',', $held ?? ['all of it']);
        if (! isset(self::$schemas[$of])) {
            /** @var \stdClass $schema */
            $schema = json_decode(
                (string) file_get_contents(Table::path('job-file.schema')),
                false,
                64,
                JSON_THROW_ON_ERROR,
            );
            $validator = new Validator();
            $its = $held === null ? $schema : self::only($schema, $held);
            self::$schemas[$of] = [$validator, $validator->loader()->loadObjectSchema($its)];
        }
        [$validator, $schema] = self::$schemas[$of];

        return $validator->schemaValidation($decoded, $schema);
    }

    /**
     * The schema for some of a job, without what it does not need: reading all of it takes longer than holding one
     * reading against it.
     *
     * @param  list<string>  $held
     */
    private static function only(\stdClass $schema, array $held): \stdClass
    {
        $only = clone $schema;
        unset($only->required);
        $only->properties = (object) array_intersect_key((array) $schema->properties, array_flip($held));
        $all = (array) $schema->{'$defs'};
        $needed = [];
        $open = [$only->properties];
        while ($open !== []) {
            preg_match_all('~"#/\$defs/(\w+)"~', json_encode(array_pop($open), JSON_UNESCAPED_SLASHES) ?: '', $named);
            foreach (array_diff($named[1], array_keys($needed)) as $name) {
                $needed[$name] = $all[$name];
                $open[] = $all[$name];
            }
        }
        $only->{'$defs'} = (object) $needed;

        return $only;
    }

    /** @throws BadInput naming the first field that is wrong */
    private static function check(\stdClass $decoded, bool $whole): void
    {
        $error = self::against($decoded, $whole);
        if ($error === null) {
            return;
        }
        $error = self::deepest($error);
        $field = implode('.', $error->data()->fullPath());
        $field = $field === '' ? 'file' : $field;
        if ($error->keyword() === 'format') {
            $date = ($error->args()['format'] ?? '') === 'date';
            throw new BadInput(
                'time',
                $field,
                "“{$field}” is no ".
                    ($date
                        ? 'day there is. Write it as 2026-11-24.'
                        : 'moment there is. Write it as 2026-11-24T09:30:00Z.'),
            );
        }
        if ($error->keyword() === 'maxItems') {
            throw new BadInput(
                'too-many',
                $field,
                "“{$field}” holds more than a job takes here. Start another job for the rest.",
            );
        }
        $what = rtrim((new ErrorFormatter())->formatErrorMessage($error), '.');
        throw new BadInput(
            'job-file',
            $field,
            "This job file is not right at “{$field}”: ".lcfirst($what).'. Mend it there, or export it again.',
        );
    }

    private static function deepest(ValidationError $error): ValidationError
    {
        $below = $error->subErrors();

        return $below === [] ? $error : self::deepest($below[0]);
    }
}
