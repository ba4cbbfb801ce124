<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Exchange\Fields;
use Oldpart\Core\Measure\SurfaceKind;

/** A surface of a part, with the stations and angles where it is to be read. */
final readonly class SurfaceFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $part,
        public string $name,
        public SurfaceKind $kind,
        public string $role,
        /** @var list<string> */
        public array $stations,
        /** @var list<string> */
        public array $angles,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            $f->text('id'),
            $f->text('part'),
            $f->text('name'),
            $f->choice('kind', SurfaceKind::class),
            $f->textOrNull('role') ?? '',
            $f->texts('stations'),
            $f->texts('angles'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'part' => $this->part,
            'name' => $this->name,
            'kind' => $this->kind->value,
            'role' => $this->role,
            'stations' => $this->stations,
            'angles' => $this->angles,
        ];
    }
}
