<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Person;
use Illuminate\Support\Facades\Auth;

/** Who is at this device. On the shop's own machine nobody signs in, and everything is allowed. */
final class Here
{
    /** Whether people sign in: only where other devices can reach the shop. */
    public static function signsIn(): bool
    {
        return (bool) config('shop.network');
    }

    public static function person(): ?Person
    {
        $person = self::signsIn() ? Auth::guard('shop')->user() : null;

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
