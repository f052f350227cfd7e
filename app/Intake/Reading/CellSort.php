<?php

declare(strict_types=1);

namespace App\Intake\Reading;

use App\Intake\CsvRecord;
use App\Models\IntakeKind;
use App\Support\Countries;
use Luftig\Core\Company\Domain;

/** What the cells of a column seem to hold, where its heading says nothing. */
enum CellSort: string
{
    case Email = 'e-mail addresses';
    case Page = 'pages of people or posts';
    case Domain = 'web addresses';
    case Phone = 'phone numbers';
    case Country = 'countries';
    case Day = 'days';

    /** So many cells say what a column holds, and so large a part of them. */
    private const ENOUGH = 3;

    private const PART = .8;

    /** Rows that are looked at. */
    private const TELLING = 100;

    /**
     * @param  iterable<CsvRecord>  $records
     * @return array<int, string> position → what its cells seem to hold
     */
    public static function ofColumns(iterable $records): array
    {
        $cells = [];
        $read = 0;
        foreach ($records as $record) {
            if (++$read > self::TELLING) {
                break;
            }
            foreach ($record->cells ?? [] as $position => $cell) {
                if (! Blank::is(trim($cell))) {
                    $cells[$position][] = trim($cell);
                }
            }
        }

        return array_filter(array_map(fn (array $some): ?string => self::of($some)?->value, $cells));
    }

    /** @param  list<string>  $cells  of one column, without what is blank */
    public static function of(array $cells): ?self
    {
        foreach (count($cells) < self::ENOUGH ? [] : self::cases() as $sort) {
            if (count(array_filter($cells, $sort->isIn(...))) >= self::PART * count($cells)) {
                return $sort;
            }
        }

        return null;
    }

    /** The field of a kind of file that it most likely fills; null where there is none of the sort. */
    public function field(IntakeKind $kind): ?string
    {
        $fields = match ($this) {
            self::Email => ['contacts' => 'email', 'relations' => 'email', 'checks' => 'email', 'signals' => 'person'],
            self::Page => ['contacts' => 'profile', 'relations' => 'profile', 'reactions' => 'profile'],
            self::Domain => [
                'accounts' => 'domain', 'contacts' => 'domain', 'customers' => 'domain', 'signals' => 'domain',
                'relations' => 'domain',
            ],
            self::Phone => ['contacts' => 'phone'],
            self::Country => ['accounts' => 'country', 'contacts' => 'country'],
            self::Day => ['signals' => 'date', 'reactions' => 'date', 'customers' => 'since'],
        };

        return $fields[$kind->value] ?? null;
    }

    private function isIn(string $cell): bool
    {
        return match ($this) {
            self::Email => preg_match('/^\S+@[^\s@]+\.[^\s@.]+$/', $cell) === 1,
            self::Page => preg_match('~^https?://[^\s/]+/\S+$~i', $cell) === 1,
            self::Domain => ! str_contains($cell, '@') && preg_match('~^\S+\.[a-z]{2,}/?$~i', $cell) === 1
                && Domain::from($cell) !== null,
            self::Phone => preg_match('/^[+(0][\d\s()\/.-]{6,}$/', $cell) === 1 && Day::read($cell) === null,
            // Two letters are too often something else: Mr, Ms, no.
            self::Country => mb_strlen($cell) > 3 && Countries::code($cell) !== null,
            self::Day => preg_match('/\d.*[.\/\s-].*\d/', $cell) === 1 && Day::read($cell) !== null,
        };
    }
}
