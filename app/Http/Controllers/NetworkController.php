<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Rows;
use App\Finder\Search;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Relation;
use App\Models\Station;
use App\Models\User;
use App\Network\Knowing;
use App\Network\Ties;
use App\Support\Like;
use App\View\Say;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Luftig\Core\Finder\Subject;

/** Whom we know, and through whom. */
final class NetworkController extends Controller
{
    private const PAGE = 20;

    private const KNOWN = [['f' => 'reach', 'w' => 'anyone', 'n' => '1'], ['f' => 'kept_out', 'x' => '1']];

    public function index(Request $request, Offer $offer): View
    {
        $search = Search::from($offer, ['on' => 'contacts', 'c' => self::KNOWN]);
        $number = self::page($request);
        $rows = Rows::of($offer, Subject::Contacts, array_slice($search->ids($number * self::PAGE), ($number - 1) * self::PAGE));
        /** @var Collection<int, Contact> $contacts */
        $contacts = collect($rows->records);
        $total = $search->total();

        return view('network.index', [
            'rows' => $rows, 'ties' => new Ties($contacts), 'total' => $total, 'accounts' => $search->accounts(), 'search' => $search, 'people' => $this->people($search),
            'pages' => new LengthAwarePaginator($rows->records, $total, self::PAGE, $number, ['path' => route('network')]),
            'stations' => Station::query()->with('user', 'account')->orderBy('user_id')->orderByDesc('since')->get(),
        ]);
    }

    /** What somebody brought, or what others brought of theirs. */
    public function relations(Request $request): View
    {
        $find = trim((string) ($request->validate(['find' => ['nullable', 'string', 'max:190']])['find'] ?? ''));
        $relations = $this->mine($request)->with('user', 'contact.account')->when($find !== '', fn (Builder $query) => $query->where(fn (Builder $either) => Like::orAscii($either->where('person', 'like', Like::anywhere($find)), 'domain', Like::anywhere($find))))->orderBy('person')->paginate(self::PAGE)->withQueryString();

        return view('network.relations', ['relations' => $relations, 'find' => $find, 'books' => $this->mine($request)->with('user')->selectRaw('user_id, source, COUNT(*) AS size, COUNT(contact_id) AS known')->groupBy('user_id', 'source')->get()]);
    }

    public function withdraw(Relation $relation): RedirectResponse
    {
        $this->authorize('delete', $relation);
        $relation->delete();

        return back()->with('said', "{$relation->person} is withdrawn from the address book of {$relation->user->name}.");
    }

    /** A whole book, as far as one may. */
    public function withdrawAll(Request $request): RedirectResponse
    {
        $request->validate(['user' => ['required', 'integer'], 'source' => ['nullable', 'string', 'max:80'], 'sure' => ['accepted']], ['sure.accepted' => 'Tick that you are sure; what is withdrawn has to be brought again.']);
        $gone = $this->mine($request)->where('user_id', $request->integer('user'))->where('source', $request->input('source'))->delete();

        return redirect()->route('network.relations')->with('said', Say::count((int) $gone, 'relation').((int) $gone === 1 ? ' is' : ' are').' withdrawn.');
    }

    /** @return Builder<Relation> */
    private function mine(Request $request): Builder
    {
        return Relation::query()->where(fn (Builder $either) => $either->where('brought_by', $request->user()->id)->orWhere('user_id', $request->user()->id));
    }

    /** @return list<array{user: User, book: int, known: int, within: int}> how many are in the book of each of us, whom they know in the base, and of whom in accounts that are not kept out */
    private function people(Search $search): array
    {
        $books = Relation::query()->selectRaw('user_id, COUNT(*) AS size')->groupBy('user_id')->pluck('size', 'user_id');
        $reached = array_fill_keys($search->ids(), true);
        $people = [];
        foreach (User::query()->orderBy('name')->get() as $user) {
            $known = Knowing::by([$user->id]);
            $people[] = ['user' => $user, 'book' => (int) ($books[$user->id] ?? 0), 'known' => count($known), 'within' => count(array_intersect_key($reached, array_fill_keys($known, true)))];
        }
        usort($people, fn (array $a, array $b): int => $b['known'] <=> $a['known']);

        return $people;
    }
}
