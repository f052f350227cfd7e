<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\Erasure;
use App\Support\Keys;
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
        return $this->isKnown([self::name($domain, $first, $last), ...self::channels($channels)]);
    }

    /**
     * Whether one of some addresses or profiles is an erased person's.
     *
     * @param  list<string|null>  $channels
     */
    public function hasErased(array $channels): bool
    {
        return $this->isKnown(self::channels($channels));
    }

    /**
     * @param  list<string|null>  $channels
     * @return list<string>
     */
    public static function of(string $domain, string $first, string $last, array $channels): array
    {
        return array_map(Keys::hash(...), [self::name($domain, $first, $last), ...self::channels($channels)]);
    }

    /** @param  list<string>  $texts */
    private function isKnown(array $texts): bool
    {
        $this->known ??= array_fill_keys(Erasure::query()->pluck('fingerprint')->all(), true);
        foreach ($this->known === [] ? [] : $texts as $text) {
            foreach (Keys::hashes($text) as $hash) {
                if (isset($this->known[$hash])) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function name(string $domain, string $first, string $last): string
    {
        return 'name|'.$domain.'|'.implode(' ', Fold::words("$first $last"));
    }

    /**
     * @param  list<string|null>  $channels
     * @return list<string>
     */
    private static function channels(array $channels): array
    {
        return array_map(
            fn (string $channel): string => 'channel|'.mb_strtolower(trim($channel)),
            array_values(array_filter($channels)),
        );
    }
}
