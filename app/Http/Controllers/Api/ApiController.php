<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Finder\Search;
use App\Http\Controllers\Controller;
use App\Models\KeptList;
use App\Models\Offer;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Pagination\CursorPaginator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\PreconditionFailedHttpException;

/** What programs ask and say for a person: JSON in, JSON out. */
abstract class ApiController extends Controller
{
    /** What records are also asked for by (kept()). */
    protected const KEPT = [
        'list' => ['nullable', 'integer'], 'changed_since' => ['bail', 'nullable', 'string', 'date'],
    ];

    private const PAGE = 50;

    private const LONGEST_PAGE = 200;

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @return CursorPaginator<int, T> in the order of their ids
     */
    protected static function pages(Request $request, Builder $query): CursorPaginator
    {
        return $query->orderBy($query->qualifyColumn('id'))->cursorPaginate(self::most($request))->withQueryString();
    }

    /**
     * Those on a list, and those that changed since a moment, where it is asked for.
     *
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @param  'accounts'|'contacts'  $subject
     * @return Builder<T>
     */
    protected static function kept(Request $request, Builder $query, string $subject): Builder
    {
        return $query
            ->when($request->filled('list'), fn (Builder $q) => $q->whereIn('id', KeptList::query()
                ->where('subject', $subject)->findOrFail($request->integer('list'))->members()->reorder()
                ->select('record_id')))
            ->when($request->filled('changed_since'), fn (Builder $q) => $q->where(
                'updated_at', '>=', self::moment($request, 'changed_since'),
            ));
    }

    /** @param  array<string, list<mixed>>  $rules  of what may be asked beside the length of a page */
    protected static function asked(Request $request, array $rules): void
    {
        $request->validate($rules + [
            'limit' => ['nullable', 'integer', 'between:1,'.self::LONGEST_PAGE], 'cursor' => ['nullable', 'string'],
        ]);
    }

    protected static function most(Request $request): int
    {
        return $request->integer('limit') ?: self::PAGE;
    }

    /** As the base has it, wherever whoever asks is. */
    protected static function moment(Request $request, string $field): ?CarbonImmutable
    {
        return $request->filled($field)
            ? CarbonImmutable::parse($request->string($field)->toString(), 'UTC')->utc() : null;
    }

    /** As in an address of the Finder (on, c); a step that cannot be used is refused. */
    protected static function search(Request $request, Offer $offer): Search
    {
        $search = Search::typed($offer, $request->input());
        $search->total();
        if ($search->mistakes !== []) {
            throw ValidationException::withMessages(array_combine(
                array_map(fn (int $step): string => "c.$step", array_keys($search->mistakes)), $search->mistakes,
            ));
        }

        return $search;
    }

    /** A record that was made, and where it is. */
    protected static function made(JsonResource $resource, string $at): JsonResponse
    {
        return $resource->response()->setStatusCode(201)->withHeaders(['Location' => $at]);
    }

    /** Where If-Match names what somebody saw, it is changed only as long as it is that. */
    protected static function onlyIfSame(Request $request, JsonResource $now): void
    {
        $seen = $request->headers->get('If-Match');
        $tag = '"'.hash('xxh128', (string) $now->response($request)->getContent()).'"';
        $tags = array_map(trim(...), explode(',', $seen ?? '*'));
        if (array_intersect($tags, ['*', $tag]) === []) {
            throw new PreconditionFailedHttpException('It was changed since you saw it. Nothing was changed now; look '
                .'at it again.');
        }
    }
}
