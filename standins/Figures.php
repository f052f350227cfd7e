<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** A service that knows how many heads a company has, and what it earns; it takes its price for each that it knows. */
final readonly class Figures extends Source
{
    public const SERVICE = 'siffergranskog';

    private const PRICE = 1.0;

    /** Hundredths of companies that it knows. */
    private const REACH = 75;

    public function __construct(World $world, Faults $faults, string $root, private string $body, private string $key)
    {
        parent::__construct($world, $faults, $root);
    }

    public function answer(array $path, array $query): ?Answer
    {
        return match ($path) {
            ['know'] => $this->know((array) json_decode($this->body, true)),
            ['charges'] => Finders::json(['charges' => $this->world->charges(self::SERVICE)]),
            default => null,
        };
    }

    /** @param  array<array-key, mixed>  $asked */
    private function know(array $asked): Answer
    {
        [$domain, $figure] = [$asked['domain'] ?? '', $asked['figure'] ?? ''];
        if (! is_string($domain) || $domain === '' || ! in_array($figure, ['headcount', 'revenue'], true)) {
            return Finders::json(['problem' => 'Give domain and figure.'], 422);
        }
        $value = crc32(self::SERVICE." $domain $figure") % 100 < self::REACH
            ? $this->world->figures($domain)[$figure] ?? null : null;
        if ($value !== null && ! in_array($this->faults->of(self::SERVICE), ['500', '429'], true)) {
            $this->world->charge(self::SERVICE, $this->key === '' ? "$domain $figure" : $this->key, self::PRICE);
        }

        return Finders::json(['value' => $value, 'price' => $value === null ? 0 : self::PRICE]);
    }
}
