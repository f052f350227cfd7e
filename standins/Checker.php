<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** Says whether an address works; of a doubtful one only the second, slow look does. */
final readonly class Checker extends Source
{
    private const SECOND_LOOK = .3;

    public function __construct(World $world, Faults $faults, string $root, private string $body)
    {
        parent::__construct($world, $faults, $root);
    }

    public function answer(array $path, array $query): ?Answer
    {
        $address = ((array) json_decode($this->body, true))['email'] ?? '';

        return match (true) {
            ! is_string($address) || ! str_contains($address, '@') => $path === ['check'] || $path === ['again']
                ? Finders::json(['problem' => 'Give an email.'], 422) : null,
            $path === ['check'] => Finders::json(['state' => $this->state(mb_strtolower($address), false)]),
            $path === ['again'] => Finders::json(['state' => $this->state(mb_strtolower($address), true)])
                ->with(wait: self::SECOND_LOOK),
            default => null,
        };
    }

    private function state(string $address, bool $again): string
    {
        [$local, $domain] = explode('@', $address, 2);

        return match (true) {
            in_array($local, ['info', 'post', 'office', 'kontakt'], true) => 'shared',
            str_starts_with($domain, 'wegwerf.') => 'disposable',
            str_starts_with($local, 'former.') => 'off',
            crc32($domain) % 25 === 0 => 'catch_all',
            ! $again && crc32($address) % 6 === 0 => 'unknown',
            default => $this->world->isAddress($address) ? 'valid' : 'invalid',
        };
    }
}
