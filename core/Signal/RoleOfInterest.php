<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Text\Query;

/** A kind of opening that speaks for an account, tied to the functions that head it (rules 2 and 8). */
final readonly class RoleOfInterest
{
    /** @param  int  $functions  a set (BusinessFunction::set): whoever works on these is concerned by the opening */
    public function __construct(public string $name, public Query $title, public ?Query $text, public int $functions)
    {
    }

    public function titleMatches(string $title): bool
    {
        return $this->title->matches($title);
    }

    public function textMatches(string $title, string $text): bool
    {
        return $this->text !== null && $this->text->matches($title.' '.$text);
    }
}
