<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Fetcher;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\PlainText;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;
use Carbon\CarbonImmutable;
use Throwable;

/** Posts and what people did with them, as a collection of ActivityStreams 2.0. */
final class Activities implements Format
{
    private const QUOTE = 2000;

    public static function name(): string
    {
        return 'activities';
    }

    public static function label(): string
    {
        return 'Posts: ActivityStreams 2.0';
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Deed;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        $json = json_decode($answer->text(), true);
        $type = is_array($json) ? $json['type'] ?? '' : '';
        if (! is_array($json) || ! in_array($type, [
            'Collection', 'OrderedCollection', 'CollectionPage', 'OrderedCollectionPage',
        ], true)) {
            throw new Unreadable('This is no collection of ActivityStreams 2.0.');
        }
        $more = [];
        foreach (['first', 'next'] as $link) {
            $address = self::id($json[$link] ?? null);
            if ($address !== null) {
                $more[] = Fetcher::absolute($address, $answer->address);
            }
        }
        $items = $json['orderedItems'] ?? $json['items'] ?? [];
        $topic = self::text($json['summary'] ?? $json['name'] ?? null);

        return new Portion(array_map(
            static fn (mixed $one): Found => self::found(is_array($one) ? $one : [], $topic),
            is_array($items) ? array_values($items) : [],
        ), $more);
    }

    /** @param  array<mixed>  $activity */
    private static function found(array $activity, ?string $topic): Found
    {
        $actor = is_array($activity['actor'] ?? null) ? $activity['actor'] : [];
        $object = is_array($activity['object'] ?? null) ? $activity['object'] : [];
        $answers = self::id($object['inReplyTo'] ?? null);
        $deed = match ($activity['type'] ?? '') {
            'Create' => $answers === null ? 'wrote' : 'commented',
            'Announce' => 'passed on',
            'Like' => 'reacted',
            default => null,
        };
        $profile = self::id($activity['actor'] ?? null);
        $post = $answers ?? self::id($activity['object'] ?? null);
        $at = self::time($activity['published'] ?? $object['published'] ?? null);
        $words = mb_strimwidth(PlainText::of(self::text($object['content'] ?? null) ?? ''), 0, self::QUOTE, '…');
        $raw = (string) json_encode($activity, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $name = self::text($actor['name'] ?? null);

        return new Found(
            self::id($activity) ?? sha1($raw),
            mb_strimwidth(($name ?? 'Somebody').' '.($deed ?? 'did something'), 0, 255, '…'),
            array_filter([
                'profile' => $profile, 'name' => $name, 'company' => self::text($actor['organization'] ?? null),
                'title' => self::text($actor['summary'] ?? null), 'deed' => $deed, 'post' => $post,
                'topic' => self::text($object['name'] ?? null) ?? $topic,
                'quote' => in_array($deed, ['wrote', 'commented'], true) ? $words : null,
                'about' => $deed === 'wrote' ? null : self::about($object),
            ], static fn (?string $value): bool => $value !== null && $value !== ''),
            $raw,
            $post,
            $at,
            match (true) {
                $deed === null => 'It is no Create, Announce or Like.',
                ! Found::isOfTheWeb($profile) => 'It does not say who did it, by an address of the web.',
                ! Found::isOfTheWeb($post) => 'It does not say to which post, by an address of the web.',
                $at === null => 'It does not say when.',
                default => null,
            },
        );
    }

    /**
     * What is said in the post that somebody did something with, where the source sends it along.
     *
     * @param  array<mixed>  $object
     */
    private static function about(array $object): ?string
    {
        $post = is_array($object['inReplyTo'] ?? null) ? $object['inReplyTo'] : $object;
        $says = isset($object['inReplyTo']) && $post === $object ? null : self::text($post['content'] ?? null);

        return $says === null ? null : mb_strimwidth(PlainText::of($says), 0, self::QUOTE, '…');
    }

    /** An address, or that of an object. */
    private static function id(mixed $value): ?string
    {
        $id = is_array($value) ? $value['id'] ?? null : $value;

        return is_string($id) && $id !== '' ? mb_strcut($id, 0, 500) : null;
    }

    private static function text(mixed $value): ?string
    {
        return is_string($value) && trim($value) !== '' ? trim($value) : null;
    }

    private static function time(mixed $value): ?CarbonImmutable
    {
        try {
            return is_string($value) && preg_match('~^\d{4}-~', $value) === 1
                ? CarbonImmutable::parse($value, 'UTC')->utc() : null;
        } catch (Throwable) {
            return null;
        }
    }
}
