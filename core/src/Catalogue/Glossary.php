<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

/** Words of the trade and of this tool, said so that a beginner can read them (data/glossary.json). */
final class Glossary
{
    /**
     * Every word once, in the order of the alphabet.
     *
     * @return list<array{word: string, also: list<string>, says: string}> also: how else it is written
     */
    public static function words(): array
    {
        /** @var list<array{word: string, also: list<string>, says: string}> $words */
        $words = Table::read('glossary')['words'];

        return $words;
    }
}
