<?php

declare(strict_types=1);

namespace App\View\Network;

use App\Models\Relation;
use App\Models\User;
use App\Support\Format;
use App\Support\Like;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Pagination\LengthAwarePaginator;

/** The relations that somebody brought, or that others brought of theirs, and the books they stand in. */
final readonly class RelationsPage
{
    private const SIZE = 20;

    /**
     * @param  LengthAwarePaginator<int, Relation>  $relations
     * @param  array<int, array{user: int, source: string|null, says: string}>  $books
     */
    private function __construct(public LengthAwarePaginator $relations, public array $books, public string $find)
    {
    }

    /** @param  string  $find  in the name of a person or in a domain */
    public static function of(User $reader, string $find): self
    {
        $relations = Relation::query()->seenBy($reader)->with('user', 'contact.account')
            ->when($find !== '', fn (Builder $query) => $query->where(fn (Builder $either) => Like::orAscii(
                $either->where('person', 'like', Like::anywhere($find)), 'domain', Like::anywhere($find),
            )))->orderBy('person')->paginate(self::SIZE)->withQueryString();

        return new self($relations, self::books($reader), $find);
    }

    public function about(Relation $relation): string
    {
        return implode(', ', array_filter([
            $relation->since === null ? null : 'since '.Format::month($relation->since),
            $relation->exchanges === null ? null : Format::count($relation->exchanges, 'exchange'),
        ]));
    }

    /** @return array<int, array{user: int, source: string|null, says: string}> */
    private static function books(User $reader): array
    {
        return Relation::query()->seenBy($reader)->with('user')
            ->selectRaw('user_id, source, COUNT(*) AS size, COUNT(contact_id) AS known')->groupBy('user_id', 'source')
            ->get()
            ->map(fn (Relation $book): array => [
                'user' => $book->user_id, 'source' => $book->source,
                'says' => $book->user->name.($book->source === null ? '' : ", {$book->source}").': '
                    .Format::number((int) $book->getAttribute('size')).', '
                        .Format::number((int) $book->getAttribute('known'))
                    .' of them contacts here',
            ])->all();
    }
}
