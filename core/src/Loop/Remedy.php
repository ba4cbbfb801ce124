<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** One thing that makes a loop close more surely, and how surely it then does. */
final readonly class Remedy
{
    /** @param  float  $chance  0 to 1, once it is done */
    private function __construct(public string $name, public Say $do, public float $chance, public bool $enough, public float $effort)
    {
    }

    /** Make the length another size, with the limits it has. It costs nothing while it is not made. */
    public static function aim(Contributor $old, Contributor $new, float $chance, float $wanted): self
    {
        return new self($old->name, Say::with('Make “{name}” {to} instead of {from}.', [
            'name' => $old->name, 'to' => LengthWriter::sizeInWords($new->sizeMm), 'from' => LengthWriter::sizeInWords($old->sizeMm),
        ]), $chance, $chance >= $wanted, 0.0);
    }

    /** Keep the length between closer limits about the same middle. */
    public static function hold(Contributor $old, Contributor $new, float $chance, float $wanted, float $holdsMm): self
    {
        $hard = 2 * $new->halfMm() < $holdsMm;
        $even = abs($old->plusMm - $old->minusMm) < 1e-9;
        $band = static fn (Contributor $c): Band => new Band($c->sizeMm - $c->minusMm, $c->sizeMm + $c->plusMm);
        [$to, $from] = [$band($new), $band($old)];

        // Limits that were not alike to both sides of the size are written out, as ± would be about another size.
        return new self($old->name, Say::with('Hold “{name}” '.($even ? 'to ±{to} instead of ±{from}' : 'between {low} and {high} instead of {old low} and {old high}').($hard ? ': closer than your lathe holds.' : '.'), [
            'name' => $old->name, 'to' => LengthWriter::atMost($new->halfMm()), 'from' => LengthWriter::difference($old->halfMm()),
            'low' => LengthWriter::lower($to), 'high' => LengthWriter::upper($to), 'old low' => LengthWriter::lower($from), 'old high' => LengthWriter::upper($from),
        ]), $chance, $chance >= $wanted, ($hard ? 10.0 : 1.0) * $old->halfMm() / $new->halfMm());
    }

    /** Measure the length better. */
    public static function measure(Contributor $old, Contributor $new, float $chance, float $wanted): self
    {
        return new self($old->name, Say::with('Measure “{name}” to ±{to} instead of ±{from}, should it come out the same.', [
            'name' => $old->name, 'to' => LengthWriter::atMost($new->halfMm()), 'from' => LengthWriter::difference($old->halfMm()),
        ]), $chance, $chance >= $wanted, 0.5 * $old->halfMm() / $new->halfMm());
    }
}
