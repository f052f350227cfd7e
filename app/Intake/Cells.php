<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\Day;
use App\Support\Countries;
use App\Support\Figure;
use App\Support\Money;
use Egulias\EmailValidator\EmailValidator;
use Egulias\EmailValidator\Validation\RFCValidation;
use Luftig\Core\Company\Domain;

/** The cells of one row, read by type; a cell that cannot be read rejects the row with a sentence. */
final readonly class Cells
{
    private const REMEMBERED = 20_000;

    /** @param  array<string, string>  $cells by field */
    public function __construct(private array $cells)
    {
    }

    public function text(string $field, int $most = 190): ?string
    {
        $text = $this->cells[$field] ?? null;

        return $text === null || strlen($text) <= $most ? $text : mb_substr($text, 0, $most);
    }

    public function needed(string $field, string $what): string
    {
        return $this->text($field) ?? throw new RejectedRow("$what is missing.");
    }

    public function figure(string $field, string $what): ?Figure
    {
        $text = $this->cells[$field] ?? null;
        if ($text === null) {
            return null;
        }
        // Much of what a column holds stands in it again and again.
        static $known = [];
        if (isset($known[$text])) {
            return $known[$text];
        }
        if (in_array(mb_strtolower($text), ['-', '–', 'n/a', 'na', 'k.a.', 'unknown', 'unbekannt', '?'], true)) {
            return null;
        }

        if (count($known) >= self::REMEMBERED) {
            $known = [];
        }

        return $known[$text] = Figure::read($text) ?? throw new RejectedRow("$what “{$text}” is not a number.");
    }

    /** @throws RejectedRow where no rate is stated for the currency */
    public static function inEur(float $amount, string $currency): float
    {
        return round(
            Money::inEur($amount, $currency)
                ?? throw new RejectedRow("No rate is stated for the currency “{$currency}”."),
            2,
        );
    }

    public function count(string $field, string $what): ?Figure
    {
        $figure = $this->figure($field, $what);
        if ($figure !== null && ($figure->value < 0 || $figure->value > 10_000_000)) {
            throw new RejectedRow("$what “{$this->cells[$field]}” cannot be right.");
        }

        return $figure;
    }

    /** 0–1, also as per cent. */
    public function part(string $field, string $what): ?float
    {
        $value = $this->figure($field, $what)?->value;
        if ($value !== null && ($value < 0 || $value > 1)) {
            throw new RejectedRow("$what “{$this->cells[$field]}” does not lie between 0 and 1.");
        }

        return $value;
    }

    public function day(string $field, string $what): ?string
    {
        $text = $this->cells[$field] ?? null;

        return $text === null ? null : Day::read($text) ?? throw new RejectedRow("$what “{$text}” is not a date.");
    }

    public function neededDay(string $field, string $what): string
    {
        return $this->day($field, $what) ?? throw new RejectedRow("$what is missing.");
    }

    public function email(string $field): ?string
    {
        $text = $this->cells[$field] ?? null;
        if ($text === null) {
            return null;
        }
        $text = mb_strtolower((string) preg_replace('/^mailto:/i', '', $text));
        static $validator = new EmailValidator;
        if (strlen($text) > 190 || ! $validator->isValid($text, new RFCValidation)) {
            throw new RejectedRow("The e-mail address “{$text}” cannot be right.");
        }

        return $text;
    }

    /** A page of somebody's, with http:// or https:// before it; other addresses could run what they name. */
    public function page(string $field, string $what): ?string
    {
        $text = $this->text($field);
        if ($text === null || preg_match('~^https?://[^\s/]+\.~i', $text) === 1) {
            return $text;
        }

        return preg_match('~^[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)+(?:/\S*)?$~u', $text) === 1
            ? "https://$text"
            : throw new RejectedRow("$what “{$text}” is no web address.");
    }

    /** The registrable domain; free-mail domains identify no company (rule 15). */
    public function domain(string $field): ?string
    {
        $text = $this->cells[$field] ?? null;
        if ($text === null) {
            return null;
        }
        $domain = Domain::from($text) ?? throw new RejectedRow("“{$text}” is not a domain or web address.");
        if ($domain->freeMail) {
            throw new RejectedRow(
                "{$domain->name} is a domain where anybody can have an address; it identifies no company.",
            );
        }

        return $domain->name;
    }

    public function country(string $field): ?string
    {
        $text = $this->cells[$field] ?? null;

        return $text === null
            ? null
            : Countries::code($text) ?? throw new RejectedRow("The country “{$text}” is not known.");
    }

    /** @return list<string> what a cell lists, parted by ; or | (or , where there is neither) */
    public function list(string $field): array
    {
        $text = $this->cells[$field] ?? '';
        $parts = preg_split(preg_match('/[;|]/', $text) === 1 ? '/[;|]/' : '/,/', $text) ?: [];

        return array_values(
            array_unique(array_filter(array_map(trim(...), $parts), fn (string $part): bool => $part !== '')),
        );
    }

    /** @param  array<string, list<string>>  $choices value → words for it */
    public function choice(string $field, string $what, array $choices): ?string
    {
        $text = $this->cells[$field] ?? null;
        if ($text === null) {
            return null;
        }
        $folded = trim(str_replace(['_', '-'], ' ', mb_strtolower($text)));
        foreach ($choices as $value => $words) {
            if ($folded === str_replace('_', ' ', $value) || in_array($folded, $words, true)) {
                return $value;
            }
        }
        throw new RejectedRow("$what “{$text}” is not known; it is one of: ".implode(', ', array_keys($choices)).'.');
    }

    public function yes(string $field): bool
    {
        return in_array(
            mb_strtolower($this->cells[$field] ?? ''),
            ['1', 'yes', 'y', 'true', 'x', 'ja', 'oui', 'tak', 'kyllä', 'best'],
            true,
        );
    }
}
