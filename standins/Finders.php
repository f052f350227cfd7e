<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/**
 * A service that finds addresses: who is asked for costs what the service takes, once for a key, where it claims to
 * have found somebody. They differ in reach, price, speed, and in how much of what they claim is true.
 */
final readonly class Finders extends Source
{
    /** Credits, hundredths of whom it finds, milliseconds, hundredths of what it finds that are made up. */
    public const SERVICES = [
        'granvittne' => [2.0, 45, 20, 0], 'mossregister' => [3.0, 70, 60, 0], 'snarfynd' => [1.0, 95, 5, 45],
    ];

    public function __construct(
        World $world,
        Faults $faults,
        string $root,
        private string $service,
        private string $body,
        private string $key,
    ) {
        parent::__construct($world, $faults, $root);
    }

    public function answer(array $path, array $query): ?Answer
    {
        return match ($path) {
            ['find'] => $this->find((array) json_decode($this->body, true)),
            ['charges'] => self::json(['charges' => $this->world->charges($this->service)]),
            default => null,
        };
    }

    /** @param  array<array-key, mixed>  $asked */
    private function find(array $asked): Answer
    {
        [$price, $reach, $pause, $lies] = self::SERVICES[$this->service];
        $text = static fn (string $field): string => is_string($asked[$field] ?? null) ? $asked[$field] : '';
        [$first, $last, $domain] = [$text('first_name'), $text('last_name'), $text('domain')];
        if ($first === '' || $last === '' || $domain === '') {
            return self::json(['problem' => 'Give first_name, last_name and domain.'], 422);
        }
        $known = $this->world->addressOf($first, $last, $domain);
        $found = $known !== null && self::chance("$this->service $first $last $domain", $reach) ? $known : null;
        if ($found !== null && self::chance("$this->service lies $first $last $domain", $lies)) {
            $found = 'kontakt.'.substr(md5("$first $last"), 0, 5)."@$domain";
        }
        // Whoever says that they have a fault takes nothing.
        if ($found !== null && ! in_array($this->faults->of($this->service), ['500', '429'], true)) {
            $this->world->charge($this->service, $this->key === '' ? $found : $this->key, $price);
        }

        return self::json(['email' => $found, 'price' => $found === null ? 0 : $price])->with(wait: $pause / 1000);
    }

    private static function chance(string $of, int $hundredths): bool
    {
        return crc32($of) % 100 < $hundredths;
    }

    /** @param  array<string, mixed>  $says */
    public static function json(array $says, int $status = 200): Answer
    {
        return Answer::of('application/json', (string) json_encode($says, JSON_UNESCAPED_UNICODE))
            ->with(status: $status);
    }
}
