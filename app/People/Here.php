<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Person;
use Illuminate\Auth\SessionGuard;
use Illuminate\Support\Facades\Auth;

/** Who is at this device. On the shop's own machine nobody signs in, and everything is allowed. */
final class Here
{
    /** Whether people sign in: only where other devices can reach the shop. */
    public static function signsIn(): bool
    {
        return (bool) config('shop.network');
    }

    public static function guard(): SessionGuard
    {
        $guard = Auth::guard('shop');
        assert($guard instanceof SessionGuard);

        return $guard;
    }

    public static function person(): ?Person
    {
        $person = self::signsIn() ? self::guard()->user() : null;

        return $person instanceof Person ? $person : null;
    }

    /** By this name it stands in the record; null where nobody signs in. */
    public static function name(): ?string
    {
        return self::person()?->name;
    }

    public static function may(Act $act): bool
    {
        return ! self::signsIn() || (self::person()?->role->may($act) ?? false);
    }

    /** @throws NotYours */
    public static function refuseUnless(Act $act): void
    {
        if (! self::may($act)) {
            throw new NotYours(self::person()?->role->refusal($act) ?? 'Sign in first.');
        }
    }
}
