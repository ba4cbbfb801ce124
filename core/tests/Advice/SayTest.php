<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Advice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;
use PHPUnit\Framework\TestCase;

/** What the core says can be read in inches, in millimetres or in both, and never mixes them. */
final class SayTest extends TestCase
{
    public function test_a_sentence_with_a_size_reads_three_ways(): void
    {
        $say = Say::with('Bore it to {size}, {n} times.', ['size' => LengthWriter::sizeInWords(25.4), 'n' => 2]);
        self::assertSame('Bore it to 1.0000 in, 2 times.', $say->in);
        self::assertSame('Bore it to 25.400 mm, 2 times.', $say->mm);
        self::assertSame('Bore it to 1.0000 in (25.400 mm), 2 times.', $say->both);
    }

    public function test_a_value_is_never_read_as_a_place_to_fill(): void
    {
        $say = Say::with('{a} and {b}', ['a' => '{b}', 'b' => 'two']);
        self::assertSame('{b} and two', $say->in);
    }

    public function test_joined_and_plain(): void
    {
        $joined = Say::join([Say::plain('one'), LengthWriter::sizeInWords(12.7)], ', ');
        self::assertSame(['one, 0.5000 in', 'one, 12.700 mm'], [$joined->in, $joined->mm]);
        self::assertSame('', Say::join([])->both);
    }

    public function test_a_note_says_what_it_is_how_grave_and_about_what(): void
    {
        $note = Note::stop('hot', 'Let it cool.')->about('surface-1');
        $json = json_decode((string) json_encode($note), true);
        self::assertSame(
            ['hot', 'stop', 'Let it cool.', 'surface-1'],
            [$json['code'], $json['severity'], $json['text'], $json['about']],
        );
        self::assertSame(
            ['info', 'caution'],
            [Note::info('a', 'b')->severity->value, Note::caution('a', 'b')->severity->value],
        );
    }

    public function test_a_refusal_can_be_told_about_another_field(): void
    {
        $bad = (new BadInput('empty', 'text', 'Type a size.'))->about('readings.2.value');
        self::assertSame(
            ['empty', 'readings.2.value', 'Type a size.'],
            [$bad->reason, $bad->field, $bad->getMessage()],
        );
    }
}
