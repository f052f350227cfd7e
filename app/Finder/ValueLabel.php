<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\User;
use App\Support\Countries;
use App\Support\FunctionNames;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Domain;
use Luftig\Core\Company\Industries;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Search\Field;
use Luftig\Core\Signal\Kind;

/** Values of fields: as people read them, and as the index has them. */
final class ValueLabel
{
    /** A value of a field as people read it. */
    public static function of(Field $field, string $value): string
    {
        return match ($field) {
            Field::Industry, Field::MainIndustry => lcfirst(Industries::name($value)),
            Field::Country, Field::OwnCountry => Countries::name($value) ?: $value,
            Field::Signal => Kind::tryFrom($value)?->label() ?? $value,
            Field::Owner => $value === 'nobody'
                ? 'nobody'
                : (string) (User::query()->find((int) $value)->name ?? $value),
            Field::ListOf => (string) (
                DB::table('lists')->where('id', (int) $value)->value('name') ?? 'a list that is gone'
            ),
            Field::Tag => (string) (
                DB::table('tags')->where('id', (int) $value)->value('name') ?? 'a tag that is gone'
            ),
            Field::Approached => $value === 'anyone'
                ? 'by anyone'
                : 'by '.(User::query()->find((int) $value)->name ?? 'somebody who is gone'),
            Field::BusinessFunction => ($function = BusinessFunction::tryFrom($value)) === null
                ? str_replace('_', ' ', $value)
                : FunctionNames::of($function),
            Field::Channel => [
                'email_checked' => 'e-mail, checked', 'email' => 'e-mail', 'email_dead' => 'e-mail, dead',
                'direct_phone' => 'direct phone', 'asked' => 'asked to be contacted',
            ][$value] ?? $value,
            Field::Origin => ['customer' => 'a customer of ours'][$value] ?? $value,
            Field::Arrival => [
                'settled' => 'not new', 'unknown' => 'new, from where unknown', 'joined' => 'new, joined',
                'promoted' => 'new, promoted', 'moved' => 'new, moved inside',
            ][$value] ?? $value,
            default => $field->isName() ? $value : str_replace('_', ' ', $value),
        };
    }

    /**
     * Accounts by what stands for them: a domain, or the number of one; a pasted text stands for itself.
     *
     * @param  list<string>  $values
     * @return array<array-key, int|string> value → id, or the mark of the text
     */
    public static function accounts(array $values): array
    {
        $known = [];
        foreach ($values as $value) {
            if (preg_match('/^~[0-9a-f]{20}$/', $value) === 1) {
                $known[$value] = $value;

                continue;
            }
            $domain = Domain::from($value)?->name;
            $id = DB::table('accounts')->when(
                ctype_digit($value),
                fn ($query) => $query->where('id', (int) $value),
                fn ($query) => $query->where('domain', $domain ?? $value),
            )->selectRaw('COALESCE(merged_into, id) AS id')->value('id');
            if ($id !== null) {
                $known[$value] = (int) $id;
            }
        }

        return $known;
    }

    /**
     * @param  list<string>  $values  that stand for accounts
     * @return list<string>
     */
    public static function names(array $values): array
    {
        $known = self::accounts($values);
        $names = DB::table('accounts')->whereIn('id', array_filter($known, is_int(...)))->pluck('name', 'id');

        return array_map(fn (string $one): string => match (true) {
            ! isset($known[$one]) => $one,
            is_string($known[$one]) => self::text($known[$one]),
            default => (string) ($names[$known[$one]] ?? $one),
        }, $values);
    }

    /** A text that a site says of itself begins with its domain. */
    private static function text(string $token): string
    {
        $text = (string) DB::table('pasted')->where('mark', '@'.substr($token, 1))->value('text');

        return preg_match('/^([a-z0-9.-]+\.[a-z]{2,})\n/', $text, $domain) === 1 ? $domain[1] : 'a pasted text';
    }

    /** What it surely means; else as it was typed. */
    private static function industry(string $value): string
    {
        [$code, $isSure] = Industries::read($value);

        return $code !== null && $isSure ? $code : $value;
    }

    /**
     * The values that a value stands for: the name of several countries is each of them.
     *
     * @return list<string>
     */
    public static function codes(Field $field, string $value): array
    {
        $countries = in_array($field, [Field::Country, Field::OwnCountry], true) ? Countries::group($value) : null;

        return $countries ?? [self::code($field, $value)];
    }

    /** A value as the index has it: names of countries, industries and kinds are read. */
    public static function code(Field $field, string $value): string
    {
        return match ($field) {
            Field::Country, Field::OwnCountry => Countries::code($value) ?? strtoupper($value),
            Field::Industry,
            Field::MainIndustry => Industries::has($value) ? strtoupper($value) : self::industry($value),
            Field::PostalArea => str_replace(' ', '', $value),
            Field::Domain => Domain::from($value)->name ?? $value,
            default => $field->isName() ? $value : str_replace(' ', '_', mb_strtolower($value)),
        };
    }
}
