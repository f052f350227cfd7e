<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\Erasure;
use Luftig\Core\Text\Fold;

/**
 * What is kept of an erased person, so that no file brings them back: keyed hashes of their addresses and of their name
 * at their account. Nothing of the person can be read out of them.
 */
final class Fingerprints
{
    /** @var array<string, true>|null */
    private ?array $known = null;

    /** @param  list<string|null>  $channels  e-mail addresses and profiles */
    public function isErased(string $domain, string $first, string $last, array $channels): bool
    {
        $this->known ??= array_fill_keys(Erasure::query()->pluck('fingerprint')->all(), true);
        if ($this->known === []) {
            return false;
        }
        foreach (self::of($domain, $first, $last, $channels) as $fingerprint) {
            if (isset($this->known[$fingerprint])) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<string|null>  $channels
     * @return list<string>
     */
    public static function of(string $domain, string $first, string $last, array $channels): array
    {
        $texts = ['name|'.$domain.'|'.implode(' ', Fold::words("$first $last"))];
        foreach (array_filter($channels) as $channel) {
            $texts[] = 'channel|'.mb_strtolower(trim((string) $channel));
        }

        return array_map(
            static fn (string $text): string => hash_hmac('sha256', $text, (string) config('app.key')),
            $texts,
        );
    }
}
