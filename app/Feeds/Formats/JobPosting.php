<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Found;
use App\Feeds\PlainText;
use App\Support\Countries;
use Carbon\CarbonImmutable;
use Luftig\Core\Company\Domain;
use Throwable;

/** Reads a schema.org JobPosting as JSON-LD has it: the fields that tell who seeks whom, where, since when. */
final class JobPosting
{
    private const TITLE = 255;

    private const TEXT = 60_000;

    /** @param  array<mixed>  $json */
    public static function found(array $json, string $raw, ?string $link = null): Found
    {
        $organisation = self::object($json['hiringOrganization'] ?? null);
        $link = self::text($json['url'] ?? null) ?? $link;
        $id = $json['identifier'] ?? null;
        $id = self::text($id) ?? self::text(self::object($id)['value'] ?? null);
        $title = mb_strimwidth(self::text($json['title'] ?? null) ?? '', 0, self::TITLE, '…');
        $at = self::time($json['datePosted'] ?? null);
        $employer = self::text($organisation['name'] ?? null) ?? self::text($json['hiringOrganization'] ?? null);
        $contact = self::object($json['applicationContact'] ?? null);
        $types = $json['employmentType'] ?? null;
        $description = $json['description'] ?? null;
        $text = is_string($description) ? PlainText::of($description) : '';
        $facts = array_filter([
            'employer' => $employer,
            'domain' => self::domain($organisation),
            'place' => self::place($json['jobLocation'] ?? null),
            'country' => self::country($json['jobLocation'] ?? null),
            'type' => is_array($types) ? implode(', ', array_filter($types, is_string(...))) : self::text($types),
            'until' => self::time($json['validThrough'] ?? null)?->toIso8601ZuluString(),
            'text' => $text,
            'author' => array_filter([
                'name' => self::text($contact['name'] ?? null), 'email' => self::text($contact['email'] ?? null),
                'profile' => self::text($contact['url'] ?? null),
            ]),
            'agency' => ($json['isAgency'] ?? false) === true ? true : null,
        ], static fn (mixed $value): bool => $value !== null && $value !== '' && $value !== []);

        return new Found($link ?? $id ?? sha1($raw), $title, $facts, $raw, $link, $at, match (true) {
            $title === '' => 'It has no title.',
            $employer === null && ! isset($facts['domain']) => 'It does not say who seeks.',
            $at === null => 'It does not say since when.',
            mb_strlen($text) > self::TEXT => 'Its text is longer than a posting ever is.',
            default => null,
        });
    }

    /** @return array<mixed> the first object of a list, or the one that stands there */
    private static function object(mixed $value): array
    {
        return is_array($value) ? (array_is_list($value) ? self::object($value[0] ?? null) : $value) : [];
    }

    private static function text(mixed $value): ?string
    {
        $text = is_scalar($value) ? trim((string) $value) : '';
        $text = strpbrk($text, '<&') === false ? $text : PlainText::of($text);

        return $text === '' ? null : $text;
    }

    private static function time(mixed $value): ?CarbonImmutable
    {
        try {
            return is_string($value) && preg_match('~^\d{4}-\d\d~', $value) === 1
                ? CarbonImmutable::parse($value, 'UTC')->utc() : null;
        } catch (Throwable) {
            return null;
        }
    }

    /** @param  array<mixed>  $organisation */
    private static function domain(array $organisation): ?string
    {
        foreach (['url', 'sameAs'] as $field) {
            foreach ((array) ($organisation[$field] ?? []) as $address) {
                $domain = is_string($address) ? Domain::from($address) : null;
                if ($domain !== null && ! $domain->freeMail) {
                    return $domain->name;
                }
            }
        }

        return null;
    }

    /** The code, where the place has one or a name that is known. */
    private static function country(mixed $location): ?string
    {
        $country = self::object(self::object($location)['address'] ?? null)['addressCountry'] ?? null;

        return Countries::code(self::text($country) ?? self::text(self::object($country)['name'] ?? null) ?? '');
    }

    private static function place(mixed $location): ?string
    {
        $address = self::object(self::object($location)['address'] ?? null);

        return self::text($address['addressLocality'] ?? null) ?? self::text(self::object($location)['name'] ?? null);
    }
}
