<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Fetcher;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;

/** People with their positions over time as JSON, by the schema beside this class; `next` leads to the next page. */
final class JsonPeople implements Format
{
    public static function name(): string
    {
        return 'people';
    }

    public static function label(): string
    {
        return "People's positions over time as JSON";
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Person;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        $json = json_decode($answer->text());
        if (! is_object($json) || ! is_array($json->people ?? null)) {
            throw new Unreadable('This is no JSON object with a list of people.');
        }
        $next = is_string($json->next ?? null) && $json->next !== '' ? $json->next : null;

        return new Portion(
            $this->items(array_values($json->people)),
            $next === null ? [] : [Fetcher::absolute($next, $answer->address)],
        );
    }

    /**
     * @param  list<mixed>  $people
     * @return iterable<Found>
     */
    private function items(array $people): iterable
    {
        $schema = new Schema(__DIR__.'/person.schema.json');
        foreach ($people as $one) {
            $raw = json_encode($one, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            $wrong = $schema->wrong($one);
            yield $wrong === null ? Person::found(
                (string) ($one->id ?? $one->profile ?? sha1($one->name)),
                $one->name,
                $one->profile ?? null,
                $one->email ?? null,
                array_map(fn (object $position): array => (array) $position, array_values($one->positions)),
                $one->changed ?? null,
                $raw,
            ) : Person::refused($raw, $wrong);
        }
    }
}
