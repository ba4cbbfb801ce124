<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How the core's code reads: short lines, and no long rows of arguments that only their place tells apart. */
final class StyleTest extends TestCase
{
    private const COLUMNS = 120;

    private const ARGUMENTS = 5;

    /** A text or a type is not cut in two. */
    private const MAY_BE_LONG = '/^\s*(?:[?:.]\s*)?["\']|\$\w+ = ["\']|=> ["\']|\(["\']|return ["\']|^\s*(?:\/\*\*|\*) @(?:param|return|var)/';

    /** @return iterable<string, array{string}> */
    public static function sources(): iterable
    {
        $root = dirname(__DIR__).'/src';
        /** @var \SplFileInfo $file */
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            yield substr($file->getPathname(), strlen($root) + 1) => [$file->getPathname()];
        }
    }

    #[DataProvider('sources')]
    public function test_lines_are_short(string $file): void
    {
        $long = array_filter(
            file($file, FILE_IGNORE_NEW_LINES) ?: [],
            static fn (string $line): bool => mb_strlen($line) > self::COLUMNS && preg_match(self::MAY_BE_LONG, $line) !== 1,
        );
        self::assertSame([], $long, 'Longer than '.self::COLUMNS.' columns.');
    }

    /** A drawing's lines and texts are given by their coordinates, and called on the drawing. */
    #[DataProvider('sources')]
    public function test_many_arguments_have_names(string $file): void
    {
        $tree = (new ParserFactory)->createForNewestSupportedVersion()->parse((string) file_get_contents($file)) ?? [];
        $found = [];
        foreach ((new NodeFinder)->find($tree, static fn (Node $n): bool => $n instanceof Node\Expr\New_
            || $n instanceof Node\Expr\StaticCall) as $call) {
            assert($call instanceof Node\Expr\New_ || $call instanceof Node\Expr\StaticCall);
            $unnamed = array_filter($call->args, static fn (Node $a): bool => $a instanceof Node\Arg && $a->name === null);
            if (count($unnamed) > self::ARGUMENTS) {
                $found[] = $call->getStartLine();
            }
        }
        self::assertSame([], $found, 'On these lines more than '.self::ARGUMENTS.' arguments have no name.');
    }
}
