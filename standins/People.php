<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** Posts on a topic, and what people did with them: ActivityStreams 2.0, a page at a time, the newest first. */
final readonly class People extends Source
{
    private const PAGE = 100;

    public function answer(array $path, array $query): ?Answer
    {
        if (count($path) === 1) {
            return $this->post($path[0]);
        }
        if (count($path) !== 2 || $path[1] !== 'outbox') {
            return null;
        }
        $page = max(1, is_numeric($query['page'] ?? null) ? (int) $query['page'] : 1);
        $all = $this->faults->within('topics', array_values(array_filter(
            $this->world->deeds(),
            static fn (array $one): bool => $one['topic'] === $path[0],
        )));
        $goesOn = count($all) > $page * self::PAGE || $this->faults->of('topics') === 'endless';

        $next = $goesOn ? ['next' => "{$this->root}/topics/{$path[0]}/outbox?page=".($page + 1)] : [];

        return Answer::of('application/activity+json', (string) json_encode($next + [
            '@context' => 'https://www.w3.org/ns/activitystreams', 'type' => 'OrderedCollectionPage',
            'summary' => ucfirst(str_replace('-', ' ', $path[0])),
            'orderedItems' => array_map(
                $this->activity(...),
                array_slice($all, ($page - 1) * self::PAGE, self::PAGE),
            ),
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    /** Everyone under one post. */
    private function post(string $id): ?Answer
    {
        $all = array_values(array_filter(
            $this->world->deeds(),
            static fn (array $one): bool => basename((string) $one['post']) === $id,
        ));

        return $all === [] ? null : Answer::of('application/activity+json', (string) json_encode([
            '@context' => 'https://www.w3.org/ns/activitystreams', 'type' => 'OrderedCollection',
            'summary' => ucfirst(str_replace('-', ' ', $all[0]['topic'])),
            'orderedItems' => array_map($this->activity(...), $all),
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    /**
     * @param  array<string, mixed>  $one
     * @return array<string, mixed>
     */
    private function activity(array $one): array
    {
        $object = match ($one['deed']) {
            'wrote' => ['id' => $one['post'], 'type' => 'Note', 'content' => $one['text']],
            'commented' => [
                'id' => "{$one['post']}#{$one['id']}", 'type' => 'Note', 'inReplyTo' => $one['post'],
                'content' => $one['text'],
            ],
            default => $one['post'],
        };

        return [
            'id' => "{$this->root}/deeds/{$one['id']}", 'published' => $one['at'], 'object' => $object,
            'type' => ['wrote' => 'Create', 'commented' => 'Create', 'passed on' => 'Announce'][$one['deed']] ?? 'Like',
            'actor' => [
                'type' => 'Person', 'id' => $one['profile'], 'name' => $one['name'],
                'organization' => $one['company'], 'summary' => $one['title'],
            ],
        ];
    }
}
