<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;

/** The JSON object a request carries. */
final class Body
{
    private const MAX_BYTES = 200_000;

    /** @throws BadInput when the body is not a JSON object */
    public static function of(Request $request, int $most = self::MAX_BYTES): Fields
    {
        return new Fields(self::array($request, $most));
    }

    /**
     * @return array<array-key, mixed>
     *
     * @throws BadInput
     */
    public static function array(Request $request, int $most = self::MAX_BYTES): array
    {
        $text = $request->getContent();
        if (strlen($text) > $most) {
            throw new BadInput('too-large', 'body', 'That is more than one change can hold.');
        }
        $body = json_decode($text, true, 32);
        if (! is_array($body) || ($body !== [] && array_is_list($body))) {
            throw new BadInput('not-json', 'body', 'Send one JSON object.');
        }

        return $body;
    }
}
