<?php

declare(strict_types=1);

namespace App\Intake;

use App\Support\Bulk;
use Illuminate\Support\Facades\DB;

/** People who turned up in a source and are in no list: by their profiles, with what they were seen doing. */
final class Candidates
{
    /** @param  array<int, array<string, mixed>>  $records  by line, each with a profile and a deed */
    public function keep(array $records, Ledger $ledger): void
    {
        $now = now()->toDateTimeString();
        $first = [];
        foreach ($records as $record) {
            $first[self::key($record)] ??= $record;
        }
        $new = array_diff_key($first, $this->ids(array_keys($first)));
        $ledger->created('candidate', Bulk::insert(
            'candidates',
            ['profile', 'profile_key', 'name', 'company', 'title', 'created_at', 'updated_at'],
            array_map(
                fn (array $one): array => [
                    $one['profile'], self::key($one), $one['name'], $one['company'], $one['title'], $now, $now,
                ],
                array_values($new),
            ),
        ));
        $ids = $this->ids(array_keys($first));
        $seen = DB::table('candidate_deeds')->whereIn('candidate_id', $ids)->get(['candidate_id', 'link'])
            ->keyBy(fn ($deed): string => $deed->candidate_id.'|'.$deed->link);
        $deeds = [];
        foreach ($records as $record) {
            $id = $ids[self::key($record)];
            if (! isset($seen[$id.'|'.$record['link']])) {
                $deeds[] = [
                    $id, $record['link'], $record['deed'], $record['occurred_at'], $record['topic'], $record['quote'],
                    $record['source'],
                ];
            }
        }
        $ledger->created('candidate_deed', Bulk::insert(
            'candidate_deeds',
            ['candidate_id', 'link', 'deed', 'occurred_at', 'topic', 'quote', 'source'],
            $deeds,
        ));
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, int>
     */
    private function ids(array $keys): array
    {
        return DB::table('candidates')->whereIn('profile_key', $keys)->pluck('id', 'profile_key')->all();
    }

    /** @param  array<string, mixed>  $record */
    private static function key(array $record): string
    {
        return sha1(mb_strtolower($record['profile']));
    }
}
