<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Person;
use App\People\Act;
use App\People\Here;
use App\People\NotIn;
use App\People\Role;
use App\People\Secrets;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Oldpart\Core\Advice\BadInput;

/** Who signs in here, and what they may do. */
final class PeopleController
{
    /** Guesses a minute from one device, whatever name they are for. */
    private const GUESSES = 20;

    private const MOST = 200;

    /** Who is at this device, and who could be: names to tap. */
    public function me(): JsonResponse
    {
        return new JsonResponse(self::shown());
    }

    public function signIn(Request $request): JsonResponse
    {
        self::refuseWhereNobodySignsIn();
        $in = Body::of($request)->only(['person', 'secret']);
        $this->slowly($request, static fn () => Secrets::signIn(self::person($in->text('person')), $in->text('secret')));

        return new JsonResponse(self::shown());
    }

    public function choose(Request $request): JsonResponse
    {
        self::refuseWhereNobodySignsIn();
        $in = Body::of($request)->only(['person', 'code', 'secret']);
        $this->slowly(
            $request,
            static fn () => Secrets::choose(self::person($in->text('person')), $in->text('code'), $in->text('secret')),
        );

        return new JsonResponse(self::shown());
    }

    public function signOut(Request $request): JsonResponse
    {
        self::refuseWhereNobodySignsIn();
        Here::guard()->logout();
        $request->session()->invalidate();

        return new JsonResponse(self::shown());
    }

    public function index(): JsonResponse
    {
        return new JsonResponse(['people' => array_map(self::row(...), self::all())]);
    }

    /** A new name, or another part in the shop for one that is there; the code to choose a PIN with is said once. */
    public function put(Request $request, string $person): JsonResponse
    {
        $in = Body::of($request)->only(['name', 'role', 'left']);
        if (preg_match('/^[A-Za-z0-9_-]{1,40}$/', $person) !== 1) {
            throw new BadInput('id', 'id', 'An id has 1 to 40 letters, digits, - or _.');
        }
        $code = DB::transaction(function () use ($in, $person): ?string {
            $there = Person::query()->find($person);
            $name = trim($in->textOrNull('name') ?? $there->name ?? '');
            self::refuseName($name, $person);
            $role = $in->has('role') ? $in->choice('role', Role::class) : $there->role ?? Role::Machinist;
            $left = $in->flagOrNull('left') ?? ($there?->left_at !== null);
            if ($there === null) {
                if (Person::query()->count() >= self::MOST) {
                    throw new BadInput('too-many', 'name', 'A shop takes '.self::MOST.' names.');
                }
                $new = Person::query()->create(['id' => $person, 'name' => $name, 'role' => $role]);

                return Secrets::code($new);
            }
            if ($there->role === Role::Owner && ($role !== Role::Owner || $left)) {
                self::refuseLastOwner($person);
            }
            $there->update([
                'name' => $name,
                'role' => $role,
                'left_at' => $left ? $there->left_at ?? now()->toIso8601ZuluString() : null,
                // Another part in the shop holds from the next sign-in, and at once.
                'sits_from' => $role !== $there->role || $left ? time() : $there->sits_from,
            ]);

            return null;
        });

        return new JsonResponse(['person' => self::row(Person::query()->findOrFail($person)), 'code' => $code]);
    }

    /** A new code, for a PIN that was forgotten or a lock that is in the way. */
    public function code(string $person): JsonResponse
    {
        $there = Person::query()->findOrFail($person);
        $code = Secrets::code($there);

        return new JsonResponse(['person' => self::row($there->refresh()), 'code' => $code]);
    }

    private function slowly(Request $request, callable $try): void
    {
        $key = 'sign-in:'.$request->ip();
        if (RateLimiter::tooManyAttempts($key, self::GUESSES)) {
            throw new NotIn('too-fast', 'Too many tries from this device. Wait a minute.', 429);
        }
        RateLimiter::hit($key);
        $try();
    }

    private static function person(string $id): Person
    {
        $person = Person::query()->find($id);

        return $person instanceof Person && $person->left_at === null
            ? $person
            : throw new NotIn('left', 'This name does not sign in here any more.');
    }

    private static function refuseWhereNobodySignsIn(): void
    {
        if (! Here::signsIn()) {
            throw new BadInput('no-sign-in', 'person', 'Nobody signs in on the shop’s own machine. bin/start --network lets other devices in.');
        }
    }

    private static function refuseName(string $name, string $person): void
    {
        if ($name === '' || mb_strlen($name) > 60) {
            throw new BadInput('name', 'name', 'A name has 1 to 60 letters: it stands in the record.');
        }
        foreach (self::all() as $other) {
            if ($other->id !== $person && mb_strtolower($other->name) === mb_strtolower($name)) {
                throw new BadInput('name-taken', 'name', 'Somebody goes by this name already, or did: the record tells them apart by it.');
            }
        }
    }

    private static function refuseLastOwner(string $person): void
    {
        if (Person::query()->where('role', Role::Owner->value)->whereNull('left_at')->where('id', '!=', $person)->doesntExist()) {
            throw new BadInput('last-owner', 'role', 'A shop needs an owner. Make somebody else one first.');
        }
    }

    /** @return list<Person> by name */
    private static function all(): array
    {
        $people = [];
        foreach (Person::query()->orderBy('name')->get() as $person) {
            assert($person instanceof Person);
            $people[] = $person;
        }

        return $people;
    }

    /** @return array<string, mixed> */
    private static function shown(): array
    {
        $person = Here::person();
        $can = array_filter(Act::cases(), Here::may(...));

        return [
            'signs_in' => Here::signsIn(),
            'person' => $person === null ? null : ['id' => $person->id, 'name' => $person->name, 'role' => $person->role->value],
            'may' => array_values(array_map(static fn (Act $act): string => $act->value, $can)),
            'people' => Here::signsIn() ? array_map(
                static fn (Person $p): array => ['id' => $p->id, 'name' => $p->name, 'chosen' => $p->secret !== null],
                array_values(array_filter(self::all(), static fn (Person $p): bool => $p->left_at === null)),
            ) : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function row(Person $person): array
    {
        $now = now()->toIso8601ZuluString();

        return [
            'id' => $person->id,
            'name' => $person->name,
            'role' => $person->role->value,
            'chosen' => $person->secret !== null,
            'code_open' => $person->code !== null && ($person->code_until ?? '') >= $now,
            'locked' => ($person->locked_until ?? '') > $now,
            'left_at' => $person->left_at,
        ];
    }
}
