<?php

declare(strict_types=1);

namespace App\Feeds;

/** What a site lets programs look at (RFC 9309). */
final readonly class Robots
{
    private const US = 'luftig';

    private const LONGEST = 500_000;

    /** @param  list<array{string, bool}>  $rules  path, and whether it may be looked at */
    private function __construct(private array $rules)
    {
    }

    /** A site that says nothing lets everybody look at everything. */
    public static function open(): self
    {
        return new self([]);
    }

    public static function of(string $text): self
    {
        $groups = [];
        $agents = [];
        $isBegun = false;
        foreach (preg_split('/\R/', substr($text, 0, self::LONGEST)) ?: [] as $line) {
            $parts = explode(':', trim((string) preg_replace('/#.*$/', '', $line)), 2);
            [$key, $value] = [strtolower(trim($parts[0])), trim($parts[1] ?? '')];
            if ($key === 'user-agent') {
                $agents = $isBegun ? [] : $agents;
                $isBegun = false;
                $agents[] = strtolower($value);
            } elseif ($key === 'allow' || $key === 'disallow') {
                $isBegun = true;
                foreach ($value === '' ? [] : $agents as $agent) {
                    $groups[$agent][] = [$value, $key === 'allow'];
                }
                foreach ($agents as $agent) {
                    $groups[$agent] ??= [];
                }
            }
        }

        return new self($groups[self::US] ?? $groups['*'] ?? []);
    }

    /** The longest rule that fits decides; of two alike the one that allows. */
    public function allow(string $address): bool
    {
        $path = parse_url($address, PHP_URL_PATH) ?: '/';
        $query = parse_url($address, PHP_URL_QUERY);
        $path .= is_string($query) ? "?$query" : '';
        $best = [-1, true];
        foreach ($this->rules as [$rule, $allows]) {
            $isEnd = str_ends_with($rule, '$');
            $pattern = str_replace('\*', '.*', preg_quote($isEnd ? substr($rule, 0, -1) : $rule, '~'));
            if (preg_match("~^$pattern".($isEnd ? '$' : '').'~', $path) === 1) {
                $best = max($best, [strlen($rule), $allows]);
            }
        }

        return $best[1];
    }
}
