<?php

declare(strict_types=1);

namespace App\Intake\Contacts;

use App\Intake\Cells;
use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;
use Luftig\Core\Company\Domain;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\SharedMailbox;

/** The ways to reach somebody that a row tells. */
final class ChannelReading
{
    /** Words for the state of an address beyond its own name. */
    public const STATES = [
        'valid' => [
            'checked', 'ok', 'verified', 'deliverable', 'gültig', 'gultig', 'geprüft', 'verifiziert', 'zustellbar',
            'giltig', 'gyldig', 'geldig', 'poprawny', 'voimassa', 'valide',
        ],
        'catch_all' => ['catchall', 'accept all', 'accepts everything'],
        'unknown' => [
            '', 'not checked', 'unchecked', 'unbekannt', 'ungeprüft', 'okänd', 'ukendt', 'ukjent', 'onbekend',
        ],
        'guess' => ['guessed', 'pattern', 'geraten', 'gissad'],
        'invalid' => [
            'dead', 'bounced', 'undeliverable', 'ungültig', 'unzustellbar', 'ogiltig', 'ugyldig', 'ongeldig',
            'niepoprawny', 'invalide',
        ],
        'disposable' => ['throw away', 'wegwerfadresse'], 'off' => ['switched off', 'abgeschaltet'],
        'shared' => ['role', 'shared mailbox', 'generic', 'sammelpostfach'],
    ];

    /** Digits; with fewer it is no number that anybody could call. */
    private const DIGITS = 5;

    private const LONGEST = 60;

    /** What may stand around a number: Tel., mobil:, and the apostrophe by which a spreadsheet keeps its plus. */
    private const AROUND = "/^'|^(?:tel|telefon|phone|mobile?|mobil|fon|handy|cell|puh|t|m)\b[.:]?\s*/iu";

    /**
     * @param  list<string>  $emails
     * @return list<array<string, string|null>>
     */
    public static function of(Cells $row, array $emails, ?string $profile, ?string $country): array
    {
        $stated = $row->choice('email_state', self::STATES);
        $channels = [];
        foreach ($emails as $at => $email) {
            // What is stated is stated of the first.
            $state = self::state($email, $at === 0 ? $stated : null);
            $channels[] = ['type' => 'email', 'value' => $email] + ($state === null ? [] : ['state' => $state]);
        }
        foreach (['phone' => 'direct_phone', 'switchboard' => 'switchboard'] as $field => $type) {
            foreach (self::phones($row, $field, $country) as $number) {
                $channels[] = ['type' => $type, 'value' => $number];
            }
        }
        $active = $row->day('active');
        if ($profile !== null || $active !== null) {
            $channels[] = ['type' => 'social', 'value' => $profile ?? 'social']
                + ($active === null ? [] : ['active_at' => $active]);
        }
        $asked = $row->text('asked');
        if ($asked !== null) {
            $channels[] = ['type' => 'asked', 'value' => $asked];
        }

        return $channels;
    }

    /** Whether a state says that nothing arrives, whoever reads it. */
    public static function isDead(string $state): bool
    {
        return AddressState::tryFrom($state)?->isDead() ?? false;
    }

    /** That something arrives at a shared address does not say that only one person reads it. */
    public static function isChange(string $there, string $stated): bool
    {
        return $there !== $stated && ($there !== AddressState::Shared->value || self::isDead($stated));
    }

    private static function state(string $email, ?string $stated): ?string
    {
        return match (true) {
            self::isDead((string) $stated) => $stated,
            SharedMailbox::is($email) => 'shared',
            $stated === null && Domain::from($email)?->disposable === true => 'disposable',
            default => $stated,
        };
    }

    /** @return list<string> in international form where a number can be read so, else as it was written */
    private static function phones(Cells $row, string $field, ?string $country): array
    {
        $numbers = [];
        foreach (preg_split('~[;|\n]|,\s|\s/\s~', $row->all()[$field] ?? '') ?: [] as $part) {
            $number = trim((string) preg_replace(self::AROUND, '', trim($part)));
            if ($number === '') {
                continue;
            }
            // 4,93E+11 is what a spreadsheet made of a number, and no number any more.
            if (
                preg_match('~^[+\d\s()./\[\]-]+(?:(?:ext|dw|-)\.?\s*\d+)?$~i', $number) !== 1
                || strlen((string) preg_replace('/\D/', '', $number)) < self::DIGITS
                || mb_strlen($number) > self::LONGEST
            ) {
                $row->leave($field);

                continue;
            }
            $numbers[] = self::international($number, $country);
        }

        return array_values(array_unique($numbers));
    }

    private static function international(string $number, ?string $country): string
    {
        try {
            $util = PhoneNumberUtil::getInstance();

            return $util->format($util->parse($number, $country), PhoneNumberFormat::INTERNATIONAL);
        } catch (NumberParseException) {
            return $number;
        }
    }
}
