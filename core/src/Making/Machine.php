<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/** A machine of the shop, with what is known of it; what is not said is not asked of it. */
final readonly class Machine implements \JsonSerializable
{
    private const MOST = 60;

    private const NAME = 80;

    private const FIGURE = 40;

    private const ID = '/^[A-Za-z0-9_-]{1,40}$/D';

    /**
     * @param  array<string, string>  $typed  by figure
     * @param  array<string, float|string>  $figures  mm, N, °C, or a word
     */
    private function __construct(
        public string $id,
        public string $kind,
        public string $name,
        public Unit $unit,
        public array $typed,
        private array $figures,
    ) {
    }

    /** @throws BadInput naming the machine and the figure that can't be read */
    public static function read(Fields $f): self
    {
        $f->only(['id', 'kind', 'name', 'unit', 'figures']);
        $kind = MachineKind::orNull($f->text('kind')) ?? throw $f->bad('kind', 'is no kind of machine known here.');
        $name = trim($f->text('name'));
        if ($name === '' || mb_strlen($name) > self::NAME) {
            throw $f->bad('name', 'needs 1 to '.self::NAME.' letters, to tell the machine by.');
        }
        if (preg_match(self::ID, $f->text('id')) !== 1) {
            throw $f->bad('id', 'is 1 to 40 letters, figures, - or _.');
        }
        $unit = $f->choice('unit', Unit::class);
        $typed = array_filter($f->textMap('figures'), static fn (string $t): bool => trim($t) !== '');
        $figures = [];
        foreach ($typed as $field => $text) {
            if (mb_strlen($text) > self::FIGURE) {
                throw new BadInput(
                    'too-long',
                    $f->bad("figures.{$field}", '')->field,
                    "{$name}: a figure has room for ".self::FIGURE.' letters. Type the number and its unit alone.',
                );
            }
            $figure = $kind->figure($field) ?? throw $f->bad("figures.{$field}", "is not asked of a {$kind->code}.");
            try {
                $figures[$field] = $figure->read($text, $unit);
            } catch (BadInput $bad) {
                $at = $f->bad("figures.{$field}", '')->field;
                throw new BadInput($bad->reason, $at, "{$name}, ".lcfirst($figure->label).": {$bad->getMessage()}");
            }
        }
        $machine = new self(
            id: $f->text('id'),
            kind: $kind->code,
            name: $name,
            unit: $unit,
            typed: $typed,
            figures: $figures,
        );
        if (($machine->figure('chuck_least_mm') ?? 0.0) > ($machine->figure('chuck_most_mm') ?? INF)) {
            throw new BadInput('jaws', $f->bad('figures.chuck_most_mm', '')->field, "{$name}: the jaws hold from more than they hold to. Change them over.");
        }

        return $machine;
    }

    /**
     * @return list<self>
     *
     * @throws BadInput for two of one id, or more than a shop holds
     */
    public static function list(Fields $f, string $field): array
    {
        $machines = array_map(self::read(...), $f->objects($field));
        if (count($machines) > self::MOST) {
            throw $f->bad($field, 'are more than '.self::MOST.'.');
        }
        if (count(array_unique(array_map(static fn (self $m): string => $m->id, $machines))) !== count($machines)) {
            throw $f->bad($field, 'has two machines with one id.');
        }

        return $machines;
    }

    /** A length in mm, a force in N, a temperature in °C; null where it was not said. */
    public function figure(string $field): ?float
    {
        $figure = $this->figures[$field] ?? null;

        return is_float($figure) ? $figure : null;
    }

    public function word(string $field): ?string
    {
        $figure = $this->figures[$field] ?? null;

        return is_string($figure) ? $figure : null;
    }

    /** @return list<array{code: string, name: string, machines: list<array<string, mixed>>}> usual shops to start from */
    public static function usual(): array
    {
        /** @var list<array{code: string, name: string, machines: list<array<string, mixed>>}> $usual */
        $usual = Table::read('machines')['usual'];

        return $usual;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind,
            'name' => $this->name,
            'unit' => $this->unit->value,
            'figures' => (object) $this->typed,
        ];
    }
}
