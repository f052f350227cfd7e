<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Keeping;
use App\Finder\Records;
use App\Finder\Rows;
use App\Finder\Search;
use App\Finder\SplitBy;
use App\Finder\Splitting;
use App\Finder\StepForm;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Watch;
use App\Standings\Barred;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Luftig\Core\Finder\Field;
use Luftig\Core\Finder\Record;
use Luftig\Core\Finder\SpotCheck;
use Luftig\Core\Finder\Subject;

final class ListController extends Controller
{
    private const PAGE = 25;

    private const SAMPLE = 20;

    public function index(Offer $offer): View
    {
        $lists = KeptList::query()->with('user')->where('offer_id', $offer->id)->latest()->get();
        $sizes = DB::table('list_members')->whereIn('list_id', $lists->modelKeys())->groupBy('list_id')->selectRaw('list_id, COUNT(*) AS size, COUNT(fits) AS judged, COALESCE(SUM(fits), 0) AS fits')->get()->keyBy('list_id');

        return view('lists.index', ['lists' => $lists, 'sizes' => $sizes, 'watches' => Watch::query()->with('user')->where('offer_id', $offer->id)
            ->selectRaw('watches.*, (SELECT COUNT(*) FROM watch_finds WHERE watch_id = watches.id AND why IS NOT NULL) AS found, (SELECT COUNT(*) FROM watch_finds WHERE watch_id = watches.id AND unread = 1) AS unread')->orderByDesc('unread')->orderBy('name')->get()]);
    }

    public function show(Request $request, Offer $offer, KeptList $list): View
    {
        $subject = Subject::from($list->subject);
        $number = max(1, $request->integer('page'));
        $size = $list->members()->count();
        $ids = array_values($list->members()->forPage($number, self::PAGE)->pluck('record_id')->all());
        $search = $this->search($offer, $list);
        $now = Keeping::found($search, $list->per_account);
        $members = $list->members()->pluck('record_id')->all();

        return view('lists.show', [
            'list' => $list, 'subject' => $subject, 'size' => $size, 'rows' => Rows::of($offer, $subject, $ids), 'search' => $search, 'barred' => Barred::now(),
            'pages' => new LengthAwarePaginator($ids, $size, self::PAGE, $number, ['path' => route('lists.show', $list)]),
            'newer' => count(array_diff($now, $members)), 'gone' => count(array_diff($members, $now)), 'check' => $this->check($list, $size),
        ]);
    }

    private function check(KeptList $list, int $size): SpotCheck
    {
        return SpotCheck::of($list->members()->where('fits', true)->count(), $list->members()->whereNotNull('fits')->count(), $size);
    }

    /** One of the sample after the other is judged. */
    public function sample(Offer $offer, KeptList $list): View
    {
        $subject = Subject::from($list->subject);
        $size = $list->members()->count();
        $members = $list->members()->get(['record_id', 'fits']);
        $fits = $members->whereNotNull('fits')->pluck('fits', 'record_id')->all();
        $check = $this->check($list, $size);
        // A first sample; then as many more as it takes.
        $more = count($fits) < self::SAMPLE ? self::SAMPLE : count($fits) + min(self::SAMPLE, $check->more);
        $drawn = array_map(fn (int $at): int => $members[$at]->record_id, SpotCheck::draw($size, $list->id, $more));
        $next = array_values(array_diff($drawn, array_keys($fits)));
        if (count($fits) >= self::SAMPLE) {
            $next = array_slice($next, 0, $more - count($fits));
        }
        $rows = Rows::of($offer, $subject, array_slice($next, 0, 1));

        return view('lists.sample', [
            'list' => $list, 'subject' => $subject, 'rows' => $rows, 'record' => $rows->records[0] ?? null, 'left' => count($next), 'judged' => count($fits), 'fitting' => array_sum($fits),
            'size' => $size, 'check' => $check, 'barred' => Barred::now(),
            'exclusions' => $this->exclusions($offer, $list, $subject, $fits),
        ]);
    }

    public function judge(Request $request, KeptList $list): RedirectResponse
    {
        $request->validate(['record' => ['required', 'integer'], 'fits' => ['required', 'in:0,1,forget']]);
        $fits = $request->input('fits');
        DB::table('list_members')->where('list_id', $list->id)->where('record_id', $request->integer('record'))->update(['fits' => $fits === 'forget' ? null : (int) $fits]);

        return redirect()->route('lists.sample', $list);
    }

    /** Parts a list, each part a list of its own in the same order. */
    public function split(Request $request, KeptList $list): RedirectResponse
    {
        $request->validate(['by' => ['required', Rule::in(array_map(fn (SplitBy $by): string => $by->value, SplitBy::of(Subject::from($list->subject))))], 'parts' => ['required_if:by,evenly', 'nullable', 'integer', 'between:2,20']], ['by.*' => 'Choose by what to split.', 'parts.*' => 'Into how many parts: a number from 2 to 20.']);
        $batches = Splitting::split($list, SplitBy::from($request->string('by')->toString()), $request->integer('parts'), $request->user());

        return redirect()->route('lists.index')->with('said', "“{$list->name}” is split into ".count($batches).' batches: '.implode(', ', array_map(fn (string $name, int $size): string => "$name ($size)", array_keys($batches), $batches)).'.');
    }

    public function destroy(KeptList $list): RedirectResponse
    {
        $list->delete();

        return redirect()->route('lists.index')->with('said', "The list “{$list->name}” is gone.")->with('putBack', ['url' => route('lists.restore', $list->id), 'fields' => []]);
    }

    public function restore(int $list): RedirectResponse
    {
        $kept = KeptList::withTrashed()->findOrFail($list);
        $kept->restore();

        return redirect()->route('lists.show', $kept)->with('said', "The list “{$kept->name}” is back.");
    }

    /**
     * What the misses share and the hits do not, as steps that would leave it out.
     *
     * @param  array<int, int|bool>  $fits
     * @return list<array{step: StepForm, misses: int, address: string}>
     */
    private function exclusions(Offer $offer, KeptList $list, Subject $subject, array $fits): array
    {
        $misses = $hits = [];
        foreach ((new Records($offer))->read($this->accountsOf($subject, array_keys($fits))) as $account) {
            foreach ($subject === Subject::Accounts ? [$account] : $account->contacts as $record) {
                if (array_key_exists($record->id, $fits)) {
                    $values = self::values($account, $record);
                    $fits[$record->id] ? $hits[] = $values : $misses[] = $values;
                }
            }
        }
        $search = $this->search($offer, $list);
        $offered = [];
        foreach (array_slice(SpotCheck::sharedByMisses($misses, $hits), 0, 6) as $shared) {
            $step = StepForm::from(['f' => $shared['field'], 'v' => $shared['value'], 'x' => '1']);
            if ($step !== null && ! in_array($step->says(), array_map(fn (array $one): string => $one['step']->says(), $offered), true)) {
                $offered[] = ['step' => $step, 'misses' => $shared['misses'], 'address' => route('finder', $search->parameters([...$search->steps, $step]))];
            }
        }

        return $offered;
    }

    /** @return array<string, list<string>> */
    private static function values(Record $account, Record $record): array
    {
        return array_diff_key($account->values + $record->values, array_flip([Field::Owner->value, Field::State->value, Field::PostalArea->value]));
    }

    /**
     * @param  list<int>  $ids
     * @return list<int>
     */
    private function accountsOf(Subject $subject, array $ids): array
    {
        $accounts = $subject === Subject::Accounts ? $ids : DB::table('contacts')->whereIn('id', $ids)->distinct()->pluck('account_id')->all();
        sort($accounts);

        return $accounts;
    }

    private function search(Offer $offer, KeptList $list): Search
    {
        parse_str($list->search, $query);

        return Search::from($offer, $query);
    }
}
