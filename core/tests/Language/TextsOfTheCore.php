<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Language;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Scalar;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;

/** Every text that stands in the source, joined pieces as one, with {0}, {1} for what is put in. */
final class TextsOfTheCore extends NodeVisitorAbstract
{
    /** What is looked for or taken apart in a text is none itself. */
    private const LOOKS = ['preg_match', 'preg_replace', 'preg_split', 'preg_match_all', 'preg_replace_callback', 'preg_quote', 'number_format', 'str_contains', 'str_starts_with', 'str_ends_with', 'in_array', 'explode', 'trim', 'rtrim', 'ltrim', 'strtr'];

    /** @var array<string, string> where each stands, by its text */
    public array $texts = [];

    private string $file = '';

    /** @return array<string, string> */
    public static function in(string $folder): array
    {
        $found = new self();
        $parser = (new ParserFactory())->createForNewestSupportedVersion();
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file->getExtension() === 'php') {
                $found->file = substr($file->getPathname(), strlen($folder) + 1);
                $traverser = new NodeTraverser();
                $traverser->addVisitor($found);
                $traverser->traverse($parser->parse((string) file_get_contents($file->getPathname())) ?? []);
            }
        }

        return $found->texts;
    }

    public function enterNode(Node $node): ?int
    {
        if ($node instanceof Node\Attribute || $node instanceof Node\Stmt\Use_ || $node instanceof Node\Stmt\Declare_ || $node instanceof Expr\Throw_ && self::isOurFault($node)) {
            return NodeTraverser::DONT_TRAVERSE_CHILDREN;
        }
        if ($node instanceof Node\ArrayItem && $node->key instanceof Scalar\String_) {
            $node->key->setAttribute('seen', true);
        }
        if ($node instanceof Expr\ArrayDimFetch) {
            $node->dim?->setAttribute('seen', true);
        }
        if ($node instanceof Expr\FuncCall && $node->name instanceof Node\Name && in_array($node->name->toString(), self::LOOKS, true)) {
            foreach ($node->isFirstClassCallable() ? [] : $node->getArgs() as $arg) {
                self::seen($arg->value);
            }
        }
        if (self::isText($node) && $node->getAttribute('seen') !== true) {
            $text = self::template(self::parts($node));
            if (self::reads($text)) {
                $this->texts[$text] ??= "{$this->file}:{$node->getStartLine()}";
            }
        }
        if ($node instanceof Expr\BinaryOp\Concat) {
            self::seen($node);
        }

        return null;
    }

    /** A fault of the program is told to whoever writes it, in English. */
    private static function isOurFault(Expr\Throw_ $node): bool
    {
        return $node->expr instanceof Expr\New_ && $node->expr->class instanceof Node\Name
            && in_array($node->expr->class->getLast(), ['LogicException', 'RuntimeException', 'InvalidArgumentException'], true);
    }

    /** Words, not a code, a pattern or a piece of a file. */
    private static function reads(string $text): bool
    {
        $plain = (string) preg_replace('/\{[\w ]+\}/', '', $text);

        return preg_match('/[A-Za-z]{2,}/', $plain) === 1
            && (preg_match('/[A-Za-z]{2,}[,:;.]? [A-Za-z(“]/', $plain) === 1 || preg_match('/^[A-Z][a-z]+/', $plain) === 1 || str_contains($text, ' ') && preg_match('/[a-z]{2,}/', $plain) === 1)
            && preg_match('~^\w+\\\\|</|<line|<polygon|<circle|stroke|font-|SECTION|\\\\\\\\|\(\?|\\\\d|\\\\s|sans-serif|%09~', $text) !== 1;
    }

    /** @param  list<?string>  $parts */
    private static function template(array $parts): string
    {
        $k = 0;
        $next = static function () use (&$k): string {
            return '{'.$k++.'}';
        };
        $text = implode('', array_map(static fn (?string $part): string => $part ?? $next(), $parts));

        return trim(str_replace('%%', '%', (string) preg_replace_callback('/%[.\d]*[fs]/', $next, $text)));
    }

    private static function isText(Node $node): bool
    {
        return $node instanceof Scalar\String_ || $node instanceof Expr\BinaryOp\Concat || $node instanceof Scalar\InterpolatedString;
    }

    private static function seen(Node $node): void
    {
        $node->setAttribute('seen', true);
        if ($node instanceof Expr\BinaryOp\Concat) {
            foreach ([$node->left, $node->right] as $side) {
                if (self::isText($side)) {
                    self::seen($side);
                }
            }
        }
    }

    /** @return list<?string> null for what is put in */
    private static function parts(Node $node): array
    {
        return match (true) {
            $node instanceof Scalar\String_ => [$node->value],
            $node instanceof Expr\BinaryOp\Concat => [...self::parts($node->left), ...self::parts($node->right)],
            $node instanceof Scalar\InterpolatedString => array_map(
                static fn (Node $part): ?string => $part instanceof Node\InterpolatedStringPart ? $part->value : null,
                array_values($node->parts),
            ),
            default => [null],
        };
    }
}
