<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Person;
use App\People\Role;
use App\People\Secrets;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

/** Who signs in, from the shop's own machine: the first owner, and the way back for whoever is locked out. */
final class PeopleCommand extends Command
{
    protected $signature = 'shop:people {--owner= : makes an owner of this name, or of somebody who is there} {--code= : a new code for this name, to choose a PIN with} {--first : a code for the owner, where none has chosen a PIN yet}';

    protected $description = 'Lists who signs in; makes an owner; says a code to choose a PIN with';

    public function handle(): int
    {
        $owner = $this->option('owner');
        if (is_string($owner)) {
            return $this->owner(trim($owner));
        }
        $code = $this->option('code');
        if (is_string($code)) {
            return $this->code(trim($code));
        }
        if ($this->option('first')) {
            return $this->first();
        }
        $people = Person::query()->orderBy('name')->get();
        foreach ($people as $person) {
            assert($person instanceof Person);
            $this->line("{$person->name}  {$person->role->value}".($person->left_at === null ? '' : '  signs in no more').($person->secret === null ? '  no PIN yet' : ''));
        }
        if ($people->isEmpty()) {
            $this->line('Nobody yet. bin/people owner NAME makes the owner.');
        }

        return self::SUCCESS;
    }

    private function owner(string $name): int
    {
        if ($name === '' || mb_strlen($name) > 60) {
            $this->error('A name has 1 to 60 letters: it stands in the record.');

            return self::FAILURE;
        }
        $there = self::named($name);
        if ($there !== null) {
            $there->update(['role' => Role::Owner, 'left_at' => null]);
        }
        $person = $there ?? Person::query()->create(['id' => (string) Str::ulid(), 'name' => $name, 'role' => Role::Owner]);
        $this->say($person);

        return self::SUCCESS;
    }

    private function code(string $name): int
    {
        $person = self::named($name);
        if ($person === null) {
            $this->error("Nobody here goes by “{$name}”. bin/people lists the names.");

            return self::FAILURE;
        }
        $this->say($person);

        return self::SUCCESS;
    }

    /** Silent where an owner has a PIN. */
    private function first(): int
    {
        $owners = Person::query()->where('role', Role::Owner->value)->whereNull('left_at');
        if ($owners->clone()->whereNotNull('secret')->exists()) {
            return self::SUCCESS;
        }
        $owner = $owners->first();
        $this->say($owner instanceof Person ? $owner : Person::query()->create(['id' => (string) Str::ulid(), 'name' => 'Owner', 'role' => Role::Owner]));

        return self::SUCCESS;
    }

    private function say(Person $person): void
    {
        $this->line("{$person->name} chooses a PIN with this code, once, within seven days: ".Secrets::code($person));
    }

    private static function named(string $name): ?Person
    {
        foreach (Person::query()->get() as $person) {
            if ($person instanceof Person && mb_strtolower($person->name) === mb_strtolower($name)) {
                return $person;
            }
        }

        return null;
    }
}
