<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Language;

use Oldpart\Core\Language\Numerals;
use Oldpart\Core\Language\PhraseBook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A text in another language, whole, by its template, in parts: a small book of our own. */
final class PhraseBookTest extends TestCase
{
    private static function book(): PhraseBook
    {
        return PhraseBook::with([
            'Housing bore' => 'Gehäusebohrung',
            'Hole circle' => 'Lochkreis',
            'hole {0}' => 'Loch {0}',
            'the {0}' => '{0}',
            'sure' => 'sicher',
            'Read {0} with the {1}' => '{0} mit {1} messen',
            'bore gauge' => 'Innenmessgerät',
            '{do}: {0} of 100.' => '{do}: {0} von 100.',
            '{0} to {1}' => '{0} bis {1}',
            'Take {by} off “{name}”.' => '{by} von „{name}“ abnehmen.',
            'Measure the mates.' => 'Die Gegenstücke messen.',
            'Hold “{name}” {0}{1}' => '„{name}“ {0} halten{1}',
            '±{a} instead of ±{b}' => '±{a} statt ±{b}',
            'It slips at {a}.' => 'Es rutscht bei {a}.',
        ]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function texts(): iterable
    {
        yield 'as it stands' => ['Housing bore', 'Gehäusebohrung'];
        yield 'begun small' => ['housing bore', 'Gehäusebohrung'];
        yield 'begun with a capital' => ['Sure', 'Sicher'];
        yield 'with its article' => ['the housing bore', 'Gehäusebohrung'];
        yield 'a whole name before a part of one' => ['hole circle', 'Lochkreis'];
        yield 'a place' => ['hole 3', 'Loch 3'];
        yield 'places in another order' => ['Take 0.012 mm off “Left arm”.', '0.012 mm von „Left arm“ abnehmen.'];
        yield 'a text in a place' => ['Read the housing bore with the bore gauge', 'Gehäusebohrung mit Innenmessgerät messen'];
        yield 'one sentence within another' => ['Read the housing bore with the bore gauge: 96 of 100.', 'Gehäusebohrung mit Innenmessgerät messen: 96 von 100.'];
        yield 'two sentences' => ['Measure the mates. Take 1 mm off “A”.', 'Die Gegenstücke messen. 1 mm von „A“ abnehmen.'];
        yield 'a list' => ['sure · housing bore', 'sicher · Gehäusebohrung'];
        yield 'what stands round it stays' => [' : sure, ', ' : sicher, '];
        yield 'a name and its number' => ['3 Housing bore', '3 Gehäusebohrung'];
        yield 'a name and its size' => ['Housing bore 1.1244', 'Gehäusebohrung 1.1244'];
        yield 'a phrase made a sentence' => ['Hole circle.', 'Lochkreis.'];
        yield 'numbers fill a short template' => ['1.25 to 1.27', '1.25 bis 1.27'];
        yield 'from what to what' => ['hole circle: sure → ', 'Lochkreis: sicher → '];
        yield 'names do not' => ['Back to Basics', 'Back to Basics'];
        yield 'what somebody typed stays' => ['Culvert Lane, the old pump', 'Culvert Lane, the old pump'];
        yield 'the point of a number parts nothing' => [
            'Hold “A” ±0.0007 in instead of ±0.0020 in.',
            '„A“ ±0.0007 in statt ±0.0020 in halten.',
        ];
        yield 'nor ends it a sentence' => ['It slips at 2.1 kN.', 'Es rutscht bei 2.1 kN.'];
        yield 'each line for itself' => ["Hole circle\n\n- sure", "Lochkreis\n\n- sicher"];
        yield 'no words' => ['⌀ 12', '⌀ 12'];
    }

    #[DataProvider('texts')]
    public function test_a_text(string $english, string $said): void
    {
        $book = self::book();
        self::assertSame($said, $book->say($english));
        self::assertSame($said, $book->say($said), 'and said once more it stays');
    }

    /** A name that somebody typed may be made of words of the book. */
    public function test_a_typed_name_is_kept(): void
    {
        $book = self::book();
        self::assertSame('Loch 3 bis 4', $book->say('hole 3 to 4'));
        $book = self::book();
        $book->keep('hole 3 to 4');
        $book->keep('Housing bore');
        self::assertSame(['hole 3 to 4', 'Gehäusebohrung'], [$book->say('hole 3 to 4'), $book->say('Housing bore')]);
        self::assertSame('1 mm von „hole 3 to 4“ abnehmen.', $book->say('Take 1 mm off “hole 3 to 4”.'));
    }

    /** @return iterable<array{string, string}> */
    public static function numbers(): iterable
    {
        yield ['28.567 mm', '28,567 mm'];
        yield ['±0.0004 in', '±0,0004 in'];
        yield ['1,234.5 rev/min', "1\u{202f}234,5 rev/min"];
        yield ['from 1 to 100,000.', "from 1 to 100\u{202f}000."];
        yield ['class 8.8, M10', 'class 8.8, M10'];
        yield ['8.8 mm', '8,8 mm'];
        yield ['M12x1.75 at 3.5 mm', 'M12x1.75 at 3,5 mm'];
        yield ['ANSI B4.1-1967', 'ANSI B4.1-1967'];
        yield ['ISO 286-1:2010', 'ISO 286-1:2010'];
        yield ['version 0.20.0', 'version 0.20.0'];
        yield ['2, 3 and 4', '2, 3 and 4'];
        yield ['as it is typed: .8740 in, -.5', 'as it is typed: ,8740 in, -,5'];
        yield ['to be continued ...', 'to be continued ...'];
    }

    #[DataProvider('numbers')]
    public function test_a_number(string $point, string $comma): void
    {
        self::assertSame($comma, Numerals::withComma($point));
    }

    /** Each phrase keeps the places of its English, and says something. */
    public function test_the_book_is_whole(): void
    {
        /** @var array<string, string> $phrases */
        $phrases = json_decode((string) file_get_contents(__DIR__.'/../../data/phrases/de.json'), true, flags: JSON_THROW_ON_ERROR);
        self::assertGreaterThan(5000, count($phrases));
        foreach ($phrases as $english => $said) {
            preg_match_all('/\{[\w ]+\}/', $english, $of);
            preg_match_all('/\{[\w ]+\}/', $said, $its);
            self::assertEqualsCanonicalizing($of[0], $its[0], $english);
            self::assertNotSame('', trim($said), $english);
        }
        self::assertNull(PhraseBook::of('en'));
        self::assertSame('Gehäusebohrung', PhraseBook::of('de')?->say('Housing bore'));
    }
}
