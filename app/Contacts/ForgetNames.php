<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Support\Like;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Takes the names and addresses of people out of all that was written down elsewhere: words of ours, evidence, files,
 * the log.
 */
final readonly class ForgetNames
{
    private const NOBODY = 'an erased person';

    /** Free text, and what it is a column of. */
    private const TEXTS = [
        'notes' => ['text'], 'signals' => ['title', 'quote'], 'reasons' => ['words'],
        'approaches' => ['next_step', 'instead'], 'watch_finds' => ['why'],
        'accounts' => ['description', 'keywords'], 'contacts' => ['about', 'interests'], 'rule_sets' => ['note'],
        'keep_outs' => ['reason'], 'candidate_deeds' => ['quote', 'topic'],
        'feed_items' => ['title', 'why'], 'mentions' => ['because'], 'signal_sources' => ['because'],
        'openings' => ['title', 'text'], 'site_texts' => ['text'], 'struck_signals' => ['reason'],
        'asks' => ['request', 'forward', 'answer'], 'stories' => ['name'],
    ];

    /** Values within values. */
    private const JSON = [
        'reasons' => ['evidence'], 'signals' => ['facts'], 'approaches' => ['snapshot', 'corrected'],
        'activity_log' => ['properties'], 'feed_items' => ['facts', 'changes'], 'struck_signals' => ['row', 'sources'],
        'asks' => ['people'], 'stories' => ['words'],
    ];

    /** Where a row has no id of its own. */
    private const KEYS = [
        'site_texts' => ['account_id'],
        'watch_finds' => ['watch_id', 'record_id'], 'signal_sources' => ['signal_id', 'feed_item_id'],
    ];

    /** What of evidence is a word of ours, whatever it looks like. */
    private const OURS = ['kind', 'stage', 'type', 'part', 'field', 'mode'];

    /** @var list<string> as they may stand in a text */
    private array $texts;

    /**
     * @param  array<array{string, string}>  $people  first and last name
     * @param  list<string>  $addresses  of mail, and of profiles
     */
    public function __construct(private array $people, array $addresses)
    {
        $names = array_map(fn (array $name): string => trim(implode(' ', $name)), $people);
        $this->texts = array_values(
            array_unique(array_filter([...$names, ...$addresses], fn (string $text): bool => $text !== '')),
        );
    }

    public function everywhere(): void
    {
        $this->deleteRows('intake_changes', ['before', 'after']);
        $this->deleteRows('intake_rejections', ['row']);
        // Where the second of two clicks would lead, with what is said there.
        DB::table('submissions')->delete();
        // What names somebody is kept as it was read, and no longer as it came.
        DB::table('feed_items')->where(fn (Builder $any) => $this->mentions($any, ['title', 'facts', 'changes']))
            ->update(['raw' => gzcompress(self::NOBODY)]);
        foreach (self::TEXTS as $table => $columns) {
            foreach ($columns as $column) {
                $this->rewrite($table, $column, fn (string $text): string => self::without($text, $this->texts));
            }
        }
        foreach (self::JSON as $table => $columns) {
            foreach ($columns as $column) {
                $this->rewrite($table, $column, fn (string $json): string => self::withoutIn($json, $this->texts));
            }
        }
    }

    /**
     * Reasons written for the people greet them by their first names.
     *
     * @param  array<int>  $contacts
     */
    public function greetings(array $contacts): void
    {
        $texts = [...$this->texts, ...array_column($this->people, 0)];
        foreach (DB::table('reasons')->whereIn('contact_id', $contacts)->get(['id', 'words', 'evidence']) as $reason) {
            DB::table('reasons')->where('id', $reason->id)->update([
                'words' => self::without($reason->words, $texts, '…'),
                'evidence' => self::withoutIn($reason->evidence, $texts),
            ]);
        }
    }

    /**
     * A text without others in it, which go as whole words only: “Lea” is not in “leader”.
     *
     * @param  list<string>  $texts
     */
    public static function without(string $text, array $texts, string $instead = self::NOBODY): string
    {
        $texts = array_filter($texts, fn (string $one): bool => $one !== '');
        usort($texts, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $any = implode('|', array_map(fn (string $one): string => preg_quote($one, '~'), $texts));

        return $any === ''
            ? $text
            : (string) preg_replace("~(?<![\\p{L}\\p{N}_])(?:$any)(?![\\p{L}\\p{N}_])~iu", $instead, $text);
    }

    /** @param  list<string>  $texts */
    private static function withoutIn(string $json, array $texts): string
    {
        $walk = function (mixed $value, int|string $key = '') use (&$walk, $texts): mixed {
            if (is_array($value)) {
                return array_combine(array_keys($value), array_map($walk, $value, array_keys($value)));
            }

            return is_string($value) && ! in_array($key, self::OURS, true) ? self::without($value, $texts) : $value;
        };

        return json_encode(
            $walk(json_decode($json, true)),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    /** @param  Closure(string): string  $change */
    private function rewrite(string $table, string $column, Closure $change): void
    {
        $keys = self::KEYS[$table] ?? ['id'];
        foreach (
            DB::table($table)->where(fn (Builder $any) => $this->mentions($any, [$column]))
                ->get([...$keys, $column]) as $row
        ) {
            $row = (array) $row;
            $text = $change((string) $row[$column]);
            if ($text !== $row[$column]) {
                DB::table($table)->where(array_intersect_key($row, array_flip($keys)))->update([$column => $text]);
            }
        }
    }

    /**
     * Rows in which one of the people stands, by whole words: a ledger is of use for the others.
     *
     * @param  list<string>  $columns  JSON
     */
    private function deleteRows(string $table, array $columns): void
    {
        $rows = DB::table($table)->where(function (Builder $any) use ($columns): void {
            $this->mentions($any, $columns);
            foreach ($this->people as $names) {
                foreach ($columns as $column) {
                    $any->orWhere(function (Builder $both) use ($column, $names): void {
                        foreach ($names as $name) {
                            $both->where(fn (Builder $either) => self::like($either, $column, $name));
                        }
                    });
                }
            }
        })->get(['id', ...$columns]);
        $found = $rows->filter(fn (stdClass $row): bool => array_filter(
            $columns, fn (string $column): bool => $this->isIn((string) $row->$column),
        ) !== []);
        DB::table($table)->whereIn('id', $found->pluck('id'))->delete();
    }

    /** Whether a name or an address stands in the values, whole or with the parts of a name in cells of their own. */
    private function isIn(string $json): bool
    {
        $values = [];
        $decoded = (array) json_decode($json, true);
        array_walk_recursive($decoded, function (mixed $value) use (&$values): void {
            $values[] = (string) (is_scalar($value) ? $value : '');
        });
        $text = implode("\n", $values);
        $has = fn (string $one): bool => $one === '' || self::without($text, [$one], '') !== $text;

        return array_filter($this->texts, $has) !== []
            || array_filter(
                $this->people,
                fn (array $names): bool => array_filter($names) !== [] && $has($names[0]) && $has($names[1]),
            )
                !== [];
    }

    /** @param  list<string>  $columns */
    private function mentions(Builder $any, array $columns): void
    {
        foreach ($columns as $column) {
            foreach ($this->texts as $text) {
                self::like($any, $column, $text);
            }
        }
    }

    /** As it is, and as JSON writes it with and without its escapes. */
    private static function like(Builder $any, string $column, string $text): void
    {
        $forms = [$text, trim((string) json_encode($text), '"'), trim(
            (string) json_encode($text, JSON_UNESCAPED_UNICODE),
            '"',
        )];
        foreach (array_unique($forms) as $form) {
            $any->orWhere($column, 'like', Like::anywhere($form));
        }
    }
}
