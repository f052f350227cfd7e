<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Found;
use App\Feeds\PlainText;
use Carbon\CarbonImmutable;
use Luftig\Core\Company\Domain;

/** Somebody with the positions they hold and held, whatever the format that tells of them. */
final class Person
{
    private const WRONG = 'The card or object names nobody with a position.';

    /** @param  list<array<string, string>>  $positions  each with a title; company, domain, since and until if known */
    public static function found(
        string $id,
        string $name,
        ?string $profile,
        ?string $email,
        array $positions,
        ?string $changed,
        string $raw,
    ): Found {
        $name = PlainText::of($name);
        $held = array_values(array_filter(array_map(self::position(...), $positions)));
        if ($name === '' || $held === []) {
            return self::refused($raw, self::WRONG);
        }
        usort($held, fn (array $a, array $b): int => [! isset($b['until']), $b['since'] ?? '']
            <=> [! isset($a['until']), $a['since'] ?? '']);
        $now = $held[0];
        $where = $now['company'] ?? $now['domain'] ?? null;
        $present = isset($now['until']) ? [] : ['domain' => $now['domain'] ?? null, 'employer' => $where];

        return new Found(
            $id,
            mb_strimwidth("$name: {$now['title']}".($where === null ? '' : " at $where"), 0, 255, '…'),
            array_filter([
                'name' => $name, 'profile' => $profile, 'email' => $email === null ? null : mb_strtolower($email),
                ...$present, 'positions' => $held,
            ], static fn (mixed $value): bool => $value !== null),
            $raw,
            $profile,
            $changed === null || strtotime($changed) === false ? null : CarbonImmutable::parse($changed, 'UTC'),
        );
    }

    public static function refused(string $raw, string $why): Found
    {
        $says = mb_strimwidth($why, 0, 250, '…');

        return new Found(sha1($raw), mb_strimwidth($raw, 0, 80, '…'), [], $raw, refused: $says);
    }

    /**
     * @param  array<string, string>  $one
     * @return array<string, string> what is not known is absent; a year is its first day
     */
    private static function position(array $one): array
    {
        $title = PlainText::of($one['title'] ?? '');
        if ($title === '') {
            return [];
        }

        return array_filter([
            'title' => mb_substr($title, 0, 190), 'company' => mb_substr(PlainText::of($one['company'] ?? ''), 0, 190),
            'domain' => Domain::from($one['domain'] ?? '')->name ?? '',
            'since' => self::day($one['since'] ?? ''), 'until' => self::day($one['until'] ?? ''),
        ], static fn (string $value): bool => $value !== '');
    }

    private static function day(string $text): string
    {
        $parts = preg_match('/^(\d{4})-?(\d{2})?-?(\d{2})?/', $text, $found) === 1
            ? [(int) $found[1], (int) ($found[2] ?? '01'), (int) ($found[3] ?? '01')] : [0, 0, 0];

        return checkdate($parts[1], $parts[2], $parts[0]) ? sprintf('%04d-%02d-%02d', ...$parts) : '';
    }
}
