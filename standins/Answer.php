<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** What a stand-in says. */
final readonly class Answer
{
    /**
     * @param  array<string, string>  $headers
     * @param  float  $wait  seconds before it is said
     */
    public function __construct(
        public string $body,
        public int $status = 200,
        public array $headers = ['Content-Type' => 'text/html; charset=UTF-8'],
        public float $wait = 0,
    ) {
    }

    public static function of(string $type, string $body): self
    {
        return new self($body, 200, [
            'Content-Type' => "$type; charset=UTF-8", 'ETag' => '"'.substr(sha1($body), 0, 16).'"',
        ]);
    }

    public static function nothing(): self
    {
        return new self("Nothing is here.\n", 404, ['Content-Type' => 'text/plain; charset=UTF-8']);
    }

    /** @param  array<string, string>  $headers */
    public function with(?string $body = null, array $headers = [], ?int $status = null, float $wait = 0): self
    {
        return new self($body ?? $this->body, $status ?? $this->status, $headers + $this->headers, $wait);
    }
}
