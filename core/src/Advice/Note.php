<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

/**
 * Advice as data: what it is (code), how much it matters, the sentence, and what it is about
 * (the id of a surface, joint or part; empty when it is about the whole).
 */
final readonly class Note implements \JsonSerializable
{
    public function __construct(
        public string $code,
        public Severity $severity,
        public Say $say,
        public string $about = '',
    ) {
    }

    public static function info(string $code, Say|string $say, string $about = ''): self
    {
        return new self($code, Severity::Info, self::say($say), $about);
    }

    public static function caution(string $code, Say|string $say, string $about = ''): self
    {
        return new self($code, Severity::Caution, self::say($say), $about);
    }

    public static function stop(string $code, Say|string $say, string $about = ''): self
    {
        return new self($code, Severity::Stop, self::say($say), $about);
    }

    public function about(string $about): self
    {
        return new self($this->code, $this->severity, $this->say, $about);
    }

    private static function say(Say|string $say): Say
    {
        return is_string($say) ? Say::plain($say) : $say;
    }

    /** @return array{code: string, severity: string, text: string, say: Say, about: string} */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'severity' => $this->severity->value,
            'text' => $this->say->both,
            'say' => $this->say,
            'about' => $this->about,
        ];
    }
}
