<?php

declare(strict_types=1);

namespace App\Lists;

use App\Models\Tag;
use App\Models\User;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Which records have which tags. */
final class RecordTags
{
    private const CHUNK = 1000;

    /**
     * @param  list<int>  $ids
     * @return list<int> those that did not have it; what is no longer in the base is passed over
     */
    public static function put(Tag $tag, string $subject, array $ids, User $by): array
    {
        $new = [];
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            $having = DB::table('taggings')->where('tag_id', $tag->id)->where('subject', $subject)
                ->whereIn('record_id', $chunk)->pluck('record_id')->all();
            $there = DB::table($subject)->whereIn('id', $chunk)->whereNotIn('id', $having)->pluck('id')->all();
            DB::table('taggings')->insertOrIgnore(array_map(
                fn (int $id): array => [
                    'tag_id' => $tag->id, 'subject' => $subject, 'record_id' => $id, 'user_id' => $by->id,
                    'created_at' => now(),
                ],
                $there,
            ));
            array_push($new, ...array_map(intval(...), $there));
        }

        return $new;
    }

    /** @param  list<int>  $records */
    public static function take(Tag $tag, string $subject, array $records): void
    {
        DB::table('taggings')->where('tag_id', $tag->id)->where('subject', $subject)->whereIn('record_id', $records)
            ->delete();
        if (! DB::table('taggings')->where('tag_id', $tag->id)->exists()) {
            $tag->delete();
        }
    }

    /** @return Collection<int, Tag> of one record */
    public static function of(string $subject, int $record): Collection
    {
        return Tag::query()->whereIn(
            'id',
            DB::table('taggings')->where('subject', $subject)->where('record_id', $record)->select('tag_id'),
        )
            ->orderBy('name')
            ->get();
    }
}
