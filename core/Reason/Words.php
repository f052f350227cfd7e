<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

/**
 * Words for one kind of approach, filled and measured (rule 21). A mail begins with a line “Subject: …” of at most
 * seven words; a call has at most three points to say, a line each after a dash, and one question.
 */
final readonly class Words
{
    private const OF_SUBJECT = 7;

    private const POINTS = 3;

    private const PER_MINUTE = 200;

    /**
     * @param  list<string>  $open  slots that could not be filled
     * @param  int  $length  characters, words, or points
     * @param  int|null  $limit  null: there is none
     */
    private function __construct(
        public ?string $subject,
        public string $text,
        public array $open,
        public int $length,
        public ?int $limit,
        public bool $fits,
    ) {
    }

    /** @param  array<string, string>  $slots */
    public static function of(string $approach, string $template, array $slots): self
    {
        [$text, $open] = Template::of($template)->fill($slots);
        $subject = null;
        if ($approach === 'email' && preg_match('/^Subject:[ \t]*(.*)\n+/u', $text, $found) === 1) {
            $subject = trim($found[1]);
            $text = trim(substr($text, strlen($found[0])));
        }
        if ($approach === 'call') {
            $points = (int) preg_match_all('/^\s*[-–•]\s/mu', $text);
            $questions = (int) preg_match_all('/\?\s*$/mu', $text);

            return new self(
                null, $text, $open, $points, self::POINTS, $open === [] && $points <= self::POINTS && $questions === 1,
            );
        }
        $limit = Limit::of($approach);
        $length = $limit?->length($text) ?? mb_strlen($text);
        $isShort = $subject === null || self::words($subject) <= self::OF_SUBJECT;

        return new self(
            $subject, $text, $open, $length, $limit?->most,
            $open === [] && $isShort && ($limit === null || $length <= $limit->most),
        );
    }

    /**
     * How it reads.
     *
     * @return array{words: int, questions: int, seconds: int} at 200 words a minute
     */
    public function reads(): array
    {
        $words = self::words($this->text);

        return [
            'words' => $words, 'questions' => substr_count($this->text, '?'),
            'seconds' => (int) ceil(60 * $words / self::PER_MINUTE),
        ];
    }

    private static function words(string $text): int
    {
        return (int) preg_match_all('/\S*[\p{L}\p{N}]\S*/u', $text);
    }
}
