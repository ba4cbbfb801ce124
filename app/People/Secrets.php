<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Oldpart\Core\Advice\BadInput;

/**
 * PINs and passwords: chosen once with a code the owner hands over, slowly hashed, locked after a few wrong ones, and
 * opened again by waiting or by a new code.
 */
final class Secrets
{
    public const LEAST_SIGNS = 6;

    /** What the hash reads of it; more would be cut off without a word. */
    private const MOST_BYTES = 72;

    private const MISSES = 5;

    /** Seconds; twice as long with each further miss. */
    private const FIRST_LOCK = 300;

    private const LONGEST_LOCK = 3600;

    private const CODE_DAYS = 7;

    /** Without what is read for something else. */
    private const CODE_SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

    /** Tried first by whoever guesses. */
    private const TOO_USUAL = [
        'password', 'passwort', 'qwerty', 'qwertz', 'letmein', 'workshop', 'werkstatt', 'lathe123', '123123', '121212', '112233', '696969', '159753', '147258',
        'iloveyou', 'abc123', 'admin1', 'secret', 'geheim', 'machine', 'maschine',
    ];

    /** Signs somebody in on this device. */
    public static function signIn(Person $person, string $secret): void
    {
        self::refuseLocked($person);
        if (! Hash::check($secret, $person->secret ?? self::nobodys()) || $person->secret === null) {
            self::miss($person);
            throw new NotIn(
                'wrong-secret',
                $person->secret === null
                    ? 'No PIN was chosen for this name yet. Choose one with the code the owner gave.'
                    : 'This is not the PIN of this name. The owner can give a code to choose a new one.',
            );
        }
        self::sitDown($person);
    }

    /** With a code, the one time: chooses the PIN or password and signs in with it. */
    public static function choose(Person $person, string $code, string $secret): void
    {
        self::refuseLocked($person);
        $typed = strtoupper((string) preg_replace('/[^A-Za-z0-9]/', '', $code));
        $holds = $person->code_until !== null && now()->toIso8601ZuluString() <= $person->code_until;
        if (! Hash::check($typed, $person->code ?? self::nobodys()) || ! $holds) {
            self::miss($person);
            throw new NotIn('wrong-code', 'This code does not hold, or not any more. The owner can give a new one.');
        }
        self::refuseWeak($secret, $person->name);
        $person->update([
            'secret' => Hash::make($secret),
            'code' => null,
            'code_until' => null,
            // Whoever sits somewhere under the old one has to sign in again.
            'sits_from' => time(),
        ]);
        self::sitDown($person);
    }

    /** A code to choose a PIN with, in the place of whatever there was; it opens a lock as well. */
    public static function code(Person $person): string
    {
        $code = '';
        for ($i = 0; $i < 10; $i++) {
            $code .= self::CODE_SIGNS[random_int(0, strlen(self::CODE_SIGNS) - 1)];
        }
        $person->update([
            'code' => Hash::make($code),
            'code_until' => now()->addDays(self::CODE_DAYS)->toIso8601ZuluString(),
            'misses' => 0,
            'locked_until' => null,
        ]);

        return substr($code, 0, 5).'-'.substr($code, 5);
    }

    /** @throws BadInput for one that is guessed soon */
    public static function refuseWeak(string $secret, string $name): void
    {
        $low = mb_strtolower($secret);
        $say = match (true) {
            mb_strlen($secret) < self::LEAST_SIGNS => 'A PIN has at least '.self::LEAST_SIGNS.' digits, a password as many signs.',
            strlen($secret) > self::MOST_BYTES => 'A password has up to '.self::MOST_BYTES.' signs.',
            preg_match('/^(.)\1*$/u', $secret) === 1 => 'All signs alike are guessed first. Choose another.',
            self::isRun($secret) => 'Digits or letters in a row are guessed first. Choose another.',
            in_array($low, self::TOO_USUAL, true) => 'This one is guessed first. Choose another.',
            str_contains(mb_strtolower($name), $low) || ($name !== '' && str_contains($low, mb_strtolower($name))) => 'Your own name is guessed first. Choose another.',
            default => null,
        };
        if ($say !== null) {
            throw new BadInput('weak', 'secret', $say);
        }
    }

    private static function isRun(string $secret): bool
    {
        $steps = [];
        for ($i = 1; $i < strlen($secret); $i++) {
            $steps[ord($secret[$i]) - ord($secret[$i - 1])] = true;
        }

        return count($steps) === 1 && isset($steps[1]) || count($steps) === 1 && isset($steps[-1]);
    }

    private static function refuseLocked(Person $person): void
    {
        if ($person->left_at !== null) {
            throw new NotIn('left', 'This name does not sign in here any more.');
        }
        $now = now()->toIso8601ZuluString();
        if ($person->locked_until !== null && $person->locked_until > $now) {
            $minutes = (int) ceil(((int) strtotime($person->locked_until) - (int) strtotime($now)) / 60);
            throw new NotIn(
                'locked',
                'Too many wrong ones: closed for '.($minutes === 1 ? 'a minute' : "{$minutes} minutes").'. Wait, or let the owner give a code to choose a new PIN.',
                429,
            );
        }
    }

    /** Counted in the store itself: of two guesses at once neither is forgotten. */
    private static function miss(Person $person): void
    {
        DB::transaction(static function () use ($person): void {
            Person::query()->whereKey($person->id)->increment('misses');
            $misses = (int) Person::query()->whereKey($person->id)->value('misses');
            if ($misses >= self::MISSES) {
                $lock = min(self::LONGEST_LOCK, self::FIRST_LOCK * 2 ** min(10, $misses - self::MISSES));
                Person::query()->whereKey($person->id)->update([
                    'locked_until' => now()->addSeconds($lock)->toIso8601ZuluString(),
                ]);
            }
        });
    }

    private static function sitDown(Person $person): void
    {
        $person->update(['misses' => 0, 'locked_until' => null]);
        $session = request()->session();
        Here::guard()->login($person);
        $session->put('since', time());
    }

    /** Hashed as slowly as anybody's, so that the time says nothing. */
    private static function nobodys(): string
    {
        static $hash = null;

        return $hash ??= Hash::make(random_bytes(16));
    }
}
