<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** What somebody typed, as a pattern for the database: its marks mean themselves. */
final class Like
{
    public static function begins(string $text): string
    {
        return addcslashes($text, '%_\\').'%';
    }

    public static function anywhere(string $text): string
    {
        return '%'.self::begins($text);
    }

    /**
     * Or a column of plain ASCII, such as a domain, is so; other letters stand in none, and the database refuses to
     * compare them.
     *
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @return Builder<T>
     */
    public static function orAscii(Builder $query, string $column, string $pattern): Builder
    {
        return preg_match('/[^\x00-\x7F]/', $pattern) === 1 ? $query : $query->orWhere($column, 'like', $pattern);
    }
}
