<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** People and the positions they hold and held: all who changed since a time as JSON, one as a vCard. */
final readonly class Moves extends Source
{
    private const PAGE = 50;

    public function answer(array $path, array $query): ?Answer
    {
        return match (true) {
            $path === ['changes.json'] => $this->changes(
                is_string($query['since'] ?? null) ? $query['since'] : '',
                max(1, is_numeric($query['page'] ?? null) ? (int) $query['page'] : 1),
            ),
            count($path) === 1 && str_ends_with($path[0], '.vcf') => $this->card(substr($path[0], 0, -4)),
            default => null,
        };
    }

    private function changes(string $since, int $page): Answer
    {
        $all = $this->faults->within('people', array_values(array_filter(
            $this->world->moves(),
            static fn (array $one): bool => $one['at'] >= $since,
        )));
        $people = array_map(static fn (array $one): array => [
            'id' => $one['id'], 'name' => $one['name'].(isset($one['title']) ? ' '.$one['title'] : ''),
            'changed' => $one['at'], 'positions' => array_map(
                static fn (array $held): array => ['title' => $held['title'].($one['title'] ?? '')] + $held,
                $one['positions'],
            ),
        ] + array_intersect_key($one, ['email' => 0, 'profile' => 0]), array_slice(
            $all, ($page - 1) * self::PAGE, self::PAGE,
        ));
        $goesOn = count($all) > $page * self::PAGE || $this->faults->of('people') === 'endless';

        return Answer::of('application/json', (string) json_encode([
            'people' => $people,
            'next' => $goesOn ? "{$this->root}/people/changes.json?since=$since&page=".($page + 1) : null,
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    private function card(string $id): ?Answer
    {
        foreach ($this->world->moves() as $one) {
            if ($one['id'] === $id) {
                $lines = [
                    'BEGIN:VCARD', 'VERSION:4.0', "UID:$id", 'FN:'.self::text($one['name']),
                    'REV:'.gmdate('Ymd\THis\Z', (int) strtotime((string) $one['at'])),
                ];
                isset($one['email']) && $lines[] = "EMAIL:{$one['email']}";
                isset($one['profile']) && $lines[] = "SOCIALPROFILE:{$one['profile']}";
                foreach ($one['positions'] as $i => $held) {
                    $lines[] = "p$i.TITLE:".self::text($held['title']);
                    $lines[] = "p$i.ORG:".self::text($held['company'] ?? $held['domain']);
                    isset($held['domain']) && $lines[] = "p$i.URL:https://www.{$held['domain']}/";
                    isset($held['since']) && $lines[] = "p$i.X-SINCE:{$held['since']}";
                    isset($held['until']) && $lines[] = "p$i.X-UNTIL:{$held['until']}";
                }

                return Answer::of('text/vcard', implode("\r\n", [...$lines, 'END:VCARD', '']));
            }
        }

        return null;
    }

    private static function text(string $text): string
    {
        return addcslashes($text, '\\;,');
    }
}
