<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\Blank;
use App\Intake\Reading\Day;
use App\Intake\Reading\Sense;
use App\Support\Countries;
use App\Support\Figure;
use App\Support\Money;
use Egulias\EmailValidator\EmailValidator;
use Egulias\EmailValidator\Validation\RFCValidation;
use Luftig\Core\Company\Domain;
use Luftig\Core\Text\Fold;

/**
 * The cells of one row, read by type. A cell that cannot be read is left empty, and kept as it was written; only what a
 * record cannot do without refuses the row, with a sentence.
 */
final class Cells
{
    private const REMEMBERED = 20_000;

    private const NAMES = ['name', 'first_name', 'last_name'];

    private const ADDRESS = 190;

    private const HEADS = 10_000_000;

    /** @var array<string, string> field → what is written there and cannot be read */
    private array $unread = [];

    /** @var array<string, string> */
    private array $unknown = [];

    /** @var array<string, string> by field */
    private readonly array $cells;

    /** @param  array<string, string>  $cells  by field */
    public function __construct(array $cells, private readonly Sense $sense = new Sense)
    {
        $this->cells = array_filter(
            $cells,
            fn (string $text, string $field): bool => in_array($field, self::NAMES, true)
                ? ! Blank::isNoName($text)
                : ! Blank::is($text),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** @return array<string, string> field → what is written there and cannot be read */
    public function unread(): array
    {
        return $this->unread;
    }

    public function has(string $field): bool
    {
        return isset($this->cells[$field]);
    }

    /** @return array<string, string> by field */
    public function all(): array
    {
        return $this->cells;
    }

    /** What is longer than there is room for is left, and not cut. */
    public function text(string $field, int $most = 190): ?string
    {
        $text = $this->cells[$field] ?? null;

        return $text === null || mb_strlen($text) <= $most ? $text : $this->leave($field);
    }

    /** @throws RejectedRow where it is not there, or longer than there is room for */
    public function needed(string $field, string $what, int $most = 190): string
    {
        return $this->text($field, $most) ?? throw new RejectedRow(
            isset($this->cells[$field]) ? "$what is longer than $most characters." : "$what is missing.",
        );
    }

    public function figure(string $field): ?Figure
    {
        $text = $this->cells[$field] ?? null;
        if ($text === null) {
            return null;
        }
        // Much of what a column holds stands in it again and again.
        static $known = [];
        if (count($known) >= self::REMEMBERED) {
            $known = [];
        }

        return ($known[$text] ??= Figure::read($text) ?? false) ?: $this->leave($field);
    }

    /** An amount in EUR; null where no rate is stated for the currency. */
    public static function inEur(float $amount, string $currency): ?float
    {
        $eur = Money::inEur($amount, $currency);

        return $eur === null ? null : round($eur, 2);
    }

    public function count(string $field): ?Figure
    {
        $figure = $this->figure($field);

        return $figure === null || $figure->value >= 0 && $figure->value <= self::HEADS
            ? $figure
            : $this->leave($field);
    }

    /** 0–1, also as per cent. */
    public function part(string $field): ?float
    {
        $value = $this->figure($field)?->value;

        return $value === null || $value >= 0 && $value <= 1 ? $value : $this->leave($field);
    }

    public function day(string $field): ?string
    {
        $text = $this->cells[$field] ?? null;

        return $text === null ? null : Day::read($text, $this->sense->isMonthFirst($field)) ?? $this->leave($field);
    }

    /** @throws RejectedRow */
    public function neededDay(string $field, string $what): string
    {
        return $this->day($field) ?? throw new RejectedRow(
            isset($this->cells[$field]) ? "$what “{$this->cells[$field]}” is not a date." : "$what is missing.",
        );
    }

    public function email(string $field): ?string
    {
        $text = $this->cells[$field] ?? null;

        return $text === null ? null : self::address($text) ?? $this->leave($field);
    }

    /** @return list<string> of a cell that may hold several; what is none of them is left, and the others read */
    public function emails(string $field): array
    {
        $emails = [];
        foreach (preg_split('~[;,|\n]|\s/\s~', $this->cells[$field] ?? '', flags: PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $emails[] = trim($part) === '' ? null : self::address($part) ?? $this->leave($field);
        }

        return array_values(array_unique(array_filter($emails)));
    }

    /** Also mailto:, a name before it, and (at): Anna Beispiel <anna(at)firm.example>. */
    private static function address(string $text): ?string
    {
        static $validator = new EmailValidator;
        $named = preg_match('/<([^<>]+)>\s*$/', $text, $within) === 1 ? $within[1] : $text;
        $email = mb_strtolower((string) preg_replace(
            ['/^\s*mailto:\s*/i', '/\s*[(\[{]\s*at\s*[)\]}]\s*/i'],
            ['', '@'],
            trim($named),
        ));

        return strlen($email) <= self::ADDRESS && preg_match('/@[^@]+\.[^@.]+$/', $email) === 1
            && $validator->isValid($email, new RFCValidation) ? $email : null;
    }

    /** A page of somebody's, with http:// or https:// before it; other addresses could run what they name. */
    public function page(string $field): ?string
    {
        $text = $this->text($field);
        if ($text === null || preg_match('~^https?://[^\s/]+\.~i', $text) === 1) {
            return $text;
        }

        return preg_match('~^[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)+(?:/\S*)?$~u', $text) === 1
            ? "https://$text"
            : $this->leave($field);
    }

    /**
     * The registrable domain; free-mail domains identify no company (rule 15).
     *
     * @throws RejectedRow where it is none, or none of a company's own
     */
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

    /** A domain that is not what the record is known by. */
    public function otherDomain(string $field): ?string
    {
        try {
            return $this->domain($field);
        } catch (RejectedRow) {
            return $this->leave($field);
        }
    }

    public function country(string $field): ?string
    {
        $text = $this->cells[$field] ?? null;

        return $text === null ? null : Countries::code($text) ?? $this->leave($field);
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
    public function choice(string $field, array $choices): ?string
    {
        $text = $this->cells[$field] ?? null;
        if ($text === null) {
            return null;
        }
        $folded = Sense::word($text);
        $told = $this->sense->meaning($field, $folded);
        if ($told !== null && isset($choices[$told])) {
            return $told;
        }
        $plain = implode(' ', Fold::words($text));
        foreach ($choices as $value => $words) {
            if (
                $folded === str_replace('_', ' ', $value)
                || in_array($folded, $words, true)
                || in_array($plain, self::words()[$field][$value] ?? [], true)
            ) {
                return $value;
            }
        }
        $this->unknown[$field] = $text;

        return $this->leave($field);
    }

    /** @return array<string, array<string, list<string>>> field → meaning → words for it in many languages */
    private static function words(): array
    {
        static $words = null;

        return $words ??= require __DIR__.'/data/words.php';
    }

    /** @return array<string, string> field → a word of it that is none of what it can say */
    public function unknown(): array
    {
        return $this->unknown;
    }

    /**
     * @param  array<string, list<string>>  $choices value → words for it
     *
     * @throws RejectedRow
     */
    public function neededChoice(string $field, string $what, array $choices): string
    {
        return $this->choice($field, $choices) ?? throw new RejectedRow(
            isset($this->cells[$field])
                ? "$what “{$this->cells[$field]}” is not known; say what it means when you bring the file."
                : "$what is missing.",
        );
    }

    public function yes(string $field): bool
    {
        return in_array(
            mb_strtolower($this->cells[$field] ?? ''),
            ['1', 'yes', 'y', 'true', 'x', 'ja', 'oui', 'tak', 'kyllä', 'best'],
            true,
        );
    }

    /** Leaves a cell that cannot be read, as it is written. */
    public function leave(string $field): null
    {
        $this->unread[$field] = $this->cells[$field];

        return null;
    }
}
