<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Text\Query;

/** What an offer has to do with: posts on it are worth a look. */
final readonly class Topic
{
    public function __construct(public string $name, public Query $query)
    {
    }

    /**
     * The first topic that a text is on.
     *
     * @param  list<self>  $topics
     */
    public static function of(string $text, array $topics): ?self
    {
        foreach ($topics as $topic) {
            if ($topic->query->matches($text)) {
                return $topic;
            }
        }

        return null;
    }
}
