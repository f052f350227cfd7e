<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Text\Query;

/** A kind of opening that speaks for an account, tied to the functions that head it (rules 2 and 8). */
final readonly class RoleOfInterest
{
    /** @var list<string> employment types that count, folded */
    public array $types;

    /**
     * @param  int  $functions  a set (BusinessFunction::set): whoever works on these is concerned by the opening
     * @param  list<string>  $types  as sources write them; none: full-time (rule 17)
     */
    public function __construct(
        public string $name,
        public Query $title,
        public ?Query $text,
        public int $functions,
        array $types = [],
    ) {
        $this->types = Posting::types(implode(',', $types ?: ['full-time']));
    }

    /** Whether one of the employment types is asked for; unknown counts. */
    public function asksFor(Posting $posting): bool
    {
        $offered = Posting::types($posting->type);

        return $offered === [] || array_intersect($offered, $this->types) !== [];
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
