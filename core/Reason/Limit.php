<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

/** How long the words of an approach may be, by its kind (rule 21); a call and an introduction have no limit. */
final readonly class Limit
{
    private const CHARACTERS = ['comment' => 280, 'connect' => 280, 'message' => 600];

    private const WORDS = ['email' => 120, 'letter' => 200];

    private function __construct(public int $most, private bool $inWords)
    {
    }

    /**
     * @param  string  $kind  comment, connect, message, email, call, letter, ask_intro
     * @return self|null null: as long as one likes
     */
    public static function of(string $kind): ?self
    {
        return match (true) {
            isset(self::CHARACTERS[$kind]) => new self(self::CHARACTERS[$kind], false),
            isset(self::WORDS[$kind]) => new self(self::WORDS[$kind], true),
            default => null,
        };
    }

    /** Characters, or words where these are limited: what stands between spaces and holds a letter or digit. */
    public function length(string $text): int
    {
        return $this->inWords
            ? (int) preg_match_all('/\S*[\p{L}\p{N}]\S*/u', $text)
            : mb_strlen(trim($text));
    }

    /** @return string|null what is wrong, as a sentence; null: it fits */
    public function exceeded(string $text): ?string
    {
        $length = $this->length($text);

        return $length <= $this->most ? null : "These are {$length} {$this->unit()}; at most {$this->most} fit.";
    }

    public function unit(): string
    {
        return $this->inWords ? 'words' : 'characters';
    }
}
