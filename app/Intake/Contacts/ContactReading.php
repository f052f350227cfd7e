<?php

declare(strict_types=1);

namespace App\Intake\Contacts;

use App\Intake\Cells;
use App\Intake\Reading\Day;
use App\Intake\RejectedRow;
use Luftig\Core\Company\Domain;

/** One row of a file of contacts, read; what it leaves blank is absent. */
final class ContactReading
{
    /** Kinds of what people share besides positions; each has a column. */
    private const AFFILIATIONS = ['language', 'school', 'association'];

    /**
     * @return array<string, mixed>
     *
     * @throws RejectedRow where nobody is named, or no account, and neither an address nor a profile tells who it is
     */
    public static function of(Cells $row): array
    {
        $emails = $row->emails('email');
        $profile = $row->page('profile');
        // Somebody who is there already is told by an address or a profile alone.
        [$first, $last] = $emails === [] && $profile === null ? self::name($row) : self::nameIfAny($row);
        $domain = $row->domain('domain') ?? ($emails === [] ? null : self::ofAddress($emails[0]));
        if ($domain === null && $emails === [] && $profile === null) {
            throw new RejectedRow('The domain of the account is missing, and the address does not tell it.');
        }
        $record = array_filter([
            'title' => $row->text('title', 255),
            'about' => $row->text('about', 5000),
            'interests' => $row->text('interests', 500),
            'city' => $row->text('city', 100),
            'country' => $row->country('country'),
            'profile' => $profile,
            'source' => $row->text('source', 80),
        ], fn ($value): bool => $value !== null);
        $since = $row->day('since');

        return [
            'domain' => $domain, 'first_name' => $first, 'last_name' => $last, ...$record,
            'is_short' => $domain === null || $first.$last === '',
            'since' => $since === null ? null : substr($since, 0, 10),
            'channels' => ChannelReading::of($row, $emails, $record['profile'] ?? null, $record['country'] ?? null),
            'affiliations' => array_merge(...array_map(
                fn (string $kind): array => array_map(
                    fn (string $name): array => [$kind, mb_substr($name, 0, 120)],
                    $row->list($kind),
                ),
                self::AFFILIATIONS,
            )),
            'before' => array_map(
                self::position(...),
                preg_split('/\s*[;|]\s*/', $row->all()['before'] ?? '', flags: PREG_SPLIT_NO_EMPTY) ?: [],
            ),
        ];
    }

    /** @return array{string, string} */
    public static function name(Cells $row): array
    {
        $name = self::nameIfAny($row);

        return $name === ['', ''] ? throw new RejectedRow('The name is missing.') : $name;
    }

    /** @return array{string, string} first and last name, as far as there are any */
    public static function nameIfAny(Cells $row): array
    {
        $first = $row->text('first_name', 100);
        $last = $row->text('last_name', 100);
        $whole = $row->text('name');
        if ($first === null && $last === null && $whole !== null) {
            if (str_contains($whole, ',')) {
                [$last, $first] = array_map(trim(...), explode(',', $whole, 2));
            } else {
                $parts = preg_split('/\s+/', $whole) ?: [];
                $last = (string) array_pop($parts);
                $first = implode(' ', $parts);
            }
        }

        return [$first ?? '', $last ?? ''];
    }

    /** 2019 or 3/2019, as its first day. */
    private static function month(string $text): string
    {
        return substr((string) Day::read($text), 0, 10);
    }

    /**
     * "Shift Lead, Fjernlund Papir, 2019–2026"
     *
     * @return array{domain: string|null, company: string|null, title: string, since: string|null, until: string|null}
     */
    private static function position(string $text): array
    {
        $parts = array_map(trim(...), explode(',', $text));
        $years = count($parts) > 1
            && preg_match('~^((?:\d{1,2}/)?\d{4})(?:\s*[–-]\s*((?:\d{1,2}/)?\d{4}))?$~u', (string) end($parts), $y)
                === 1
            ? array_map(self::month(...), array_slice($y, 1))
            : [];
        if ($years !== []) {
            array_pop($parts);
        }
        $title = (string) array_shift($parts);
        $company = $parts === [] ? null : mb_substr(implode(', ', $parts), 0, 190);
        $domain = $company !== null && ! str_contains($company, ' ') ? Domain::from($company)?->name : null;

        return [
            'domain' => $domain,
            'company' => $company,
            'title' => mb_substr($title, 0, 190),
            'since' => $years[0] ?? null,
            'until' => $years[1] ?? (isset($years[0]) ? substr($years[0], 0, 4).'-12-31' : '2000-01-01'),
        ];
    }

    public static function ofAddress(string $email): ?string
    {
        $domain = Domain::from($email);

        return $domain === null || $domain->freeMail ? null : $domain->name;
    }
}
