<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Events\RecordsExported;
use App\Finder\ResultRows;
use App\Http\Resources\AccountResource;
use App\Http\Resources\ContactResource;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\View\Today\PlanLines;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Luftig\Core\Search\Subject;

/** What a search finds, and the plan of today. */
final class FinderController extends ApiController
{
    /** on, c as in an address of the Finder; the best first. */
    public function index(Request $request, Offer $offer): JsonResponse
    {
        self::asked($request, ['page' => ['nullable', 'integer', 'min:1']]);
        $search = self::search($request, $offer);
        $most = self::most($request);
        $page = self::page($request);
        $ids = array_slice($search->ids($page * $most), ($page - 1) * $most);
        $rows = ResultRows::of($offer, $search->subject, $ids);
        RecordsExported::dispatch($request->user(), 'api', $request->fullUrl());
        $records = new Collection(array_filter(
            $rows->records, fn (Account|Contact $one): bool => ! $rows->asked($one),
        ));
        $isMore = $page * $most < $search->total();

        return response()->json([
            'data' => $search->subject === Subject::Accounts
                ? AccountResource::collection($records->load(AccountResource::parts($offer)))
                : ContactResource::collection($records->load(ContactResource::PARTS)),
            'total' => $search->total(),
            'links' => ['next' => $isMore ? $request->fullUrlWithQuery(['page' => $page + 1]) : null],
        ]);
    }

    /** Whom to approach today, and what to say (rule 18). */
    public function plan(Request $request, Offer $offer): JsonResponse
    {
        return response()->json(['data' => PlanLines::of($offer, self::user($request))]);
    }
}
