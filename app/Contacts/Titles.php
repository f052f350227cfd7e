<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\OwnFunction;
use App\Models\TitleLesson;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\Title;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Text\Fold;
use Luftig\Core\Text\Query;

/** Reads titles as the core does, and as the team taught it. */
final class Titles
{
    private const CHUNK = 2000;

    /** @var array<string, int>|null folded title → reading */
    private ?array $lessons = null;

    /** @var array<string, int> */
    private array $known = [];

    /** @var list<array{int, Query}>|null bits of the team's own functions, and the words that tell them */
    private ?array $own = null;

    /** The reading of a title, packed; 0 where it cannot be read. */
    public function read(?string $title, ?string $country, ?int $headcount): int
    {
        if ($title === null || $title === '') {
            return 0;
        }
        $this->lessons ??= TitleLesson::query()->pluck('reading', 'folded')->all();
        if ($this->lessons !== [] && isset($this->lessons[self::fold($title)])) {
            return $this->lessons[self::fold($title)];
        }
        if (count($this->known) > 50_000) {
            $this->known = [];
        }

        $key = $country.'|'.($headcount !== null && $headcount < 100 ? 's' : 'l').'|'.$title;

        return $this->known[$key] ??= $this
            ->withOwn($title, TitleReader::standard()->read($title, $country, $headcount));
    }

    /** What a title says of the team's own functions, added to what the dictionaries read. */
    private function withOwn(string $title, Title $read): int
    {
        $this->own ??= array_values(OwnFunction::query()->get()->map(
            fn (OwnFunction $own): array => [$own->slot->bit(), Query::parse($own->words)],
        )->all());
        $functions = $read->functions;
        foreach ($this->own as [$bit, $words]) {
            $functions |= $words->matches($title) ? $bit : 0;
        }

        return (new Title($read->status, $read->seniority, $functions))->packed();
    }

    /** From now on a title says this, wherever it stands. */
    public static function teach(string $title, Title $says, User $by): TitleLesson
    {
        return Together::write(function () use ($title, $says, $by): TitleLesson {
            $lesson = TitleLesson::query()->updateOrCreate(
                ['folded' => self::fold($title)],
                ['title' => mb_substr($title, 0, 190), 'reading' => $says->packed(), 'user_id' => $by->id],
            );
            (new self)->readAgain($lesson->title);

            return $lesson;
        });
    }

    public static function forget(TitleLesson $lesson): void
    {
        Together::write(function () use ($lesson): void {
            $lesson->delete();
            (new self)->readAgain($lesson->title);
        }, $lesson);
    }

    /** The titles of accounts whose country or headcount changed: a plain director may be an owner now. */
    public function readAgainAt(int $account): void
    {
        $this->renew('c.account_id = ?', [$account]);
    }

    /** Everywhere; as after a new dictionary. */
    public function readAllAgain(): void
    {
        $this->renew('c.title IS NOT NULL', []);
    }

    private function readAgain(string $title): void
    {
        // The column's collation folds as Fold does, but for punctuation.
        $this->renew('c.title = ?', [$title]);
    }

    /** @param  list<mixed>  $values */
    private function renew(string $which, array $values): void
    {
        $last = 0;
        do {
            $rows = DB::select(
                'SELECT c.id, c.account_id, c.title, c.reading, a.headcount, p.country FROM contacts c JOIN '
                    .'accounts a ON a.id = c.account_id LEFT JOIN places p ON p.account_id = a.id AND '
                    ."p.headquarters = 1 WHERE c.id > ? AND $which ORDER BY c.id LIMIT "
                    .self::CHUNK,
                [$last, ...$values],
            );
            $changed = $accounts = [];
            foreach ($rows as $row) {
                $reading = $this->read($row->title, $row->country, $row->headcount);
                if ($reading !== $row->reading) {
                    $changed[$reading][] = $row->id;
                    $accounts[] = $row->account_id;
                }
                $last = $row->id;
            }
            foreach ($changed as $reading => $ids) {
                DB::table('contacts')->whereIn('id', $ids)->update(['reading' => $reading]);
                DB::table('positions')->join('contacts', 'contacts.id', '=', 'contact_id')->whereIn('contact_id', $ids)
                    ->whereColumn('positions.title', 'contacts.title')->update(['positions.reading' => $reading]);
            }
            AccountIds::markStale($accounts);
            (new CareerSignals)->refresh(array_merge([], ...array_values($changed)));
        } while (count($rows) === self::CHUNK);
    }

    private static function fold(string $title): string
    {
        return mb_substr(implode(' ', Fold::words($title)), 0, 190);
    }
}
