<?php

declare(strict_types=1);

namespace App\Feeds;

use Carbon\CarbonImmutable;
use Throwable;

/** An event as CloudEvents 1.0 has it in JSON. */
final readonly class CloudEvent
{
    /** @param  array<string, mixed>  $data */
    private function __construct(
        public string $id,
        public string $source,
        public string $type,
        public CarbonImmutable $time,
        public array $data,
    ) {
    }

    /** @throws Unreadable naming what is missing or wrong */
    public static function from(mixed $json): self
    {
        if (! is_array($json) || array_is_list($json)) {
            throw new Unreadable('An event is an object.');
        }
        if (($json['specversion'] ?? null) !== '1.0') {
            throw new Unreadable('specversion is “1.0”.');
        }
        foreach (['id', 'source', 'type'] as $field) {
            if (! is_string($json[$field] ?? null) || $json[$field] === '' || mb_strlen($json[$field]) > 400) {
                throw new Unreadable("$field is a text, and not empty.");
            }
        }
        if (! is_array($json['data'] ?? null) || array_is_list($json['data'])) {
            throw new Unreadable('data is an object.');
        }
        try {
            $time = isset($json['time']) ? CarbonImmutable::parse((string) $json['time'], 'UTC')->utc() : null;
        } catch (Throwable) {
            throw new Unreadable('time is one as in 2026-11-23T09:00:00Z.');
        }

        return new self($json['id'], $json['source'], $json['type'], $time ?? CarbonImmutable::now(), $json['data']);
    }

    /** The end of the type, which may be led by a domain turned round: example.board.own_engagement. */
    public function kind(): string
    {
        return substr((string) strrchr('.'.$this->type, '.'), 1);
    }

    public function text(string $field, int $most = 255): ?string
    {
        $value = $this->data[$field] ?? null;
        $text = is_scalar($value) && ! is_bool($value) ? trim((string) $value) : '';

        return $text === '' ? null : mb_strimwidth($text, 0, $most, '…');
    }
}
