<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;

/** The taps or dies in the drawer as one types them: “M6, M8 × 1, 1/4 UNC, 3/8 UNF LH”. */
final readonly class ThreadTools
{
    /** @param  list<Thread>  $threads */
    private function __construct(private array $threads, public bool $isSaid)
    {
    }

    /** @throws BadInput naming the one that can't be read */
    public static function read(string $text, string $field): self
    {
        $threads = [];
        foreach (preg_split('/[,;\n]+/', $text) ?: [] as $entry) {
            if (trim($entry) === '') {
                continue;
            }
            try {
                $threads[] = Thread::named(trim($entry));
            } catch (BadInput $bad) {
                throw $bad->about($field);
            }
        }

        return new self($threads, trim($text) !== '');
    }

    public function has(Thread $thread): bool
    {
        foreach ($this->threads as $one) {
            if (
                abs($one->majorMm - $thread->majorMm) < 0.01
                && abs($one->pitchMm - $thread->pitchMm) < 0.002
                && $one->form === $thread->form
                && $one->left === $thread->left
            ) {
                return true;
            }
        }

        return false;
    }
}
