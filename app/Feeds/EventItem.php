<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Support\Cell;
use Luftig\Core\Company\Domain;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;

/** Reads what a posted event says: of a signal, or of facts. */
final class EventItem
{
    /** What somebody did with us, as sources say it. */
    private const DEEDS = ['looked' => 'page', 'visit' => 'page', 'view' => 'page', 'follow' => 'follows'];

    private const RAW = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;

    public static function signal(CloudEvent $event): Found
    {
        $kind = Kind::tryFrom($event->kind());
        $deed = $event->text('deed', 20);
        $deed = self::DEEDS[$deed ?? ''] ?? $deed;
        $strength = $event->data['strength'] ?? null;
        $title = $event->text('title');
        $who = self::who($event);

        return self::found($event, $title ?? self::title($kind, $deed, $event), $who + array_filter([
            'kind' => $kind?->value, 'deed' => $deed, 'strength' => $strength, 'topic' => $event->text('topic', 190),
            'quote' => $event->text('quote', 5000), 'technology' => $event->text('technology', 100),
            'round' => $event->text('round', 20),
        ], static fn (mixed $value): bool => $value !== null), match (true) {
            $kind === null => "type ends in a kind of signal: {$event->type} does not.",
            $who === [] => 'data names no account: a domain, or the e-mail address or profile of a person.',
            $deed !== null && ! in_array($deed, Strength::engagements(), true) => "“{$deed}” is no deed; one of: "
                .implode(', ', Strength::engagements()).'.',
            $strength !== null && (! is_numeric($strength) || $strength < 0 || $strength > 1) => 'strength lies '
                .'between 0 and 1.',
            default => null,
        });
    }

    public static function fact(CloudEvent $event): Found
    {
        $cells = array_filter(
            array_map(Cell::of(...), $event->data), static fn (string $value): bool => $value !== '',
        );
        $domain = Domain::from($cells['domain'] ?? '')?->name;

        $facts = ['domain' => $domain, 'cells' => $cells];

        return self::found($event, 'Facts of '.($domain ?? 'nobody'), $facts, match (true) {
            $event->kind() !== 'account' => "type ends in account: {$event->type} does not.",
            $domain === null => 'data names no account by its domain.',
            default => null,
        });
    }

    /** @param  array<string, mixed>  $facts */
    private static function found(CloudEvent $event, string $title, array $facts, ?string $refused): Found
    {
        return new Found(
            "{$event->source}|{$event->id}",
            mb_strimwidth($title, 0, 255, '…'),
            $facts + ['source' => $event->source],
            (string) json_encode(['type' => $event->type, 'id' => $event->id, 'source' => $event->source,
                'time' => $event->time->toIso8601ZuluString(), 'data' => $event->data], self::RAW),
            $event->text('link', 500),
            $event->time,
            $refused,
        );
    }

    /** @return array<string, string> */
    private static function who(CloudEvent $event): array
    {
        return array_filter([
            'domain' => Domain::from($event->text('domain') ?? '')?->name,
            'email' => mb_strtolower($event->text('email', 190) ?? ''), 'profile' => $event->text('profile', 190),
        ]);
    }

    private static function title(?Kind $kind, ?string $deed, CloudEvent $event): string
    {
        $topic = $event->text('topic', 190);

        return match (true) {
            $deed === 'page' => 'Looked at a page of ours',
            $deed === 'follows' => 'Follows us',
            $deed !== null => ucfirst($deed),
            $topic !== null => "Reads about $topic",
            default => ucfirst($kind?->label() ?? 'something'),
        };
    }
}
