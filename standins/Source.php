<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** One kind of source of the outside world. */
abstract readonly class Source
{
    public function __construct(protected World $world, protected Faults $faults, protected string $root)
    {
    }

    /**
     * @param  list<string>  $path
     * @param  array<array-key, mixed>  $query
     */
    abstract public function answer(array $path, array $query): ?Answer;

    protected static function escape(mixed $text): string
    {
        return htmlspecialchars(is_scalar($text) ? (string) $text : '', ENT_QUOTES | ENT_XML1, 'UTF-8');
    }

    /**
     * @param  array<string, mixed>  $of
     */
    protected static function page(array $of, string $head, string $body): Answer
    {
        return Answer::of('text/html', '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>'
            .self::escape($of['title'] ?? '')."</title>$head</head><body><main><h1>".self::escape($of['title'] ?? '')
            ."</h1>$body</main></body></html>");
    }
}
