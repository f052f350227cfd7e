<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Requests\KeepListRequest;
use App\Http\Resources\ListResource;
use App\Lists\Collect;
use App\Lists\KeepResults;
use App\Models\KeptList;
use App\Models\Offer;
use App\Support\Together;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Luftig\Core\Search\Subject;

/** Lists and who is on them. */
final class ListController extends ApiController
{
    private const MOST = 10_000;

    public function index(Request $request, Offer $offer): AnonymousResourceCollection
    {
        self::asked($request, ['subject' => ['nullable', Rule::enum(Subject::class)]]);

        return ListResource::collection(self::pages($request, KeptList::query()->where('offer_id', $offer->id)->when(
            $request->filled('subject'), fn ($query) => $query->where('subject', $request->query('subject')),
        )));
    }

    public function show(KeptList $list): ListResource
    {
        return new ListResource($list);
    }

    /** Of what a search finds (on, c as in an address of the Finder), or of those who are named (members). */
    public function store(KeepListRequest $request, Offer $offer): JsonResponse
    {
        $request->validate(['name' => ['required'], 'on' => ['required', Rule::enum(Subject::class)]]);
        $name = $request->string('name')->trim()->toString();
        $list = $request->has('members')
            ? $this->named($request, $offer, $name)
            : KeepResults::asList(
                $offer, self::search($request, $offer), $name, self::user($request), null,
                $request->number('per_account'), $request->number('best'),
            );

        return self::made(new ListResource($list), route('api.lists.show', $list));
    }

    public function destroy(KeptList $list): Response
    {
        $list->delete();

        return response()->noContent();
    }

    public function members(Request $request, KeptList $list): JsonResponse
    {
        self::asked($request, ['after' => ['nullable', 'integer']]);
        $most = self::most($request);
        $rows = $list->members()->where('position', '>', $request->filled('after') ? $request->integer('after') : -1)
            ->limit($most)->get(['record_id as id', 'position', 'fits']);
        $last = $rows->count() < $most ? null : $rows->last()?->position;

        return response()->json(['data' => $rows, 'links' => ['next' => $last === null ? null
            : route('api.lists.members', [$list, 'after' => $last, 'limit' => $most])]]);
    }

    public function add(Request $request, KeptList $list): JsonResponse
    {
        $new = Collect::add($list, self::ids($request, Subject::from($list->subject)));

        return response()->json(['added' => $new]);
    }

    public function remove(Request $request, KeptList $list): JsonResponse
    {
        return response()->json(['removed' => Collect::remove($list, self::ids($request, null))]);
    }

    private function named(Request $request, Offer $offer, string $name): KeptList
    {
        $subject = Subject::from($request->string('on')->toString());
        $ids = self::ids($request, $subject);

        return Together::write(function () use ($offer, $subject, $name, $request, $ids): KeptList {
            $list = Collect::named($offer, $subject, $name, self::user($request));
            Collect::add($list, $ids);

            return $list;
        });
    }

    /** @return list<int> those who are named; of a subject: as far as there are such */
    private static function ids(Request $request, ?Subject $subject): array
    {
        $request->validate([
            'members' => ['present', 'array', 'max:'.self::MOST], 'members.*' => ['integer', 'min:1'],
        ]);
        $ids = array_values(array_unique(array_map(intval(...), $request->array('members'))));

        return $subject === null ? $ids : Collect::known($subject, $ids);
    }
}
