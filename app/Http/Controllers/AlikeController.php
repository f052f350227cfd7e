<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Feeds\SiteWords;
use App\Finder\Pasted;
use App\Finder\ValueLabel;
use App\Http\Requests\AlikeRequest;
use App\Http\Requests\PhrasesRequest;
use App\Models\KeptList;
use App\Models\Offer;
use App\View\Alike\AlikePage;
use App\View\Alike\PhrasesPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Luftig\Core\Company\Domain;

/** More like some examples, and the phrases that are typical of them. */
final class AlikeController extends Controller
{
    private const LINES = 2000;

    private const EXAMPLES = 60;

    private const NAMED = 5;

    /** Sites that are looked at while one waits. */
    private const VISITED = 3;

    public function index(Request $request, Offer $offer): View
    {
        return view('alike.index', ['page' => AlikePage::of(
            $offer,
            self::user($request),
            self::tokens($request, 'e'),
            self::tokens($request, 'x'),
            self::text($request, 'last'),
            $this->list($request, 'accounts'),
        )]);
    }

    /** Adds what was typed or pasted. */
    public function add(AlikeRequest $request): RedirectResponse
    {
        $domains = $request->domains();
        $known = ValueLabel::accounts($domains);
        $unknown = array_values(array_filter($domains, fn (string $one): bool => ! isset($known[$one])));
        foreach (array_slice($unknown, 0, self::VISITED) as $domain) {
            $words = SiteWords::of($domain);
            if ($words !== null) {
                $known[$domain] = self::mark(Domain::from($domain)?->name."\n$words");
            }
        }
        $silent = array_values(array_diff($unknown, array_keys($known)));
        if ($silent !== []) {
            $says = implode(', ', array_slice($silent, 0, self::NAMED)).(count($silent) === 1 ? ' is' : ' are');

            return back()->withInput()->withErrors(['domains' => "$says not in the base, and their site says nothing; "
                .'paste how they describe themselves instead.']);
        }
        $text = $request->string('text')->trim()->toString();
        $added = array_map(strval(...), array_values($known));
        if ($text !== '') {
            $added[] = self::mark($text);
        }
        if ($added === []) {
            return back()->withErrors(['domains' => 'Give a domain, or paste a text.']);
        }
        $into = $request->input('as') === 'counter' ? 'x' : 'e';
        $have = fn (string $key): array => array_filter(explode(',', $request->string($key)->toString()));
        $tokens = ['e' => $have('e'), 'x' => $have('x')];
        $tokens[$into] = array_unique([...$tokens[$into], ...$added]);

        return redirect()->route('alike', array_filter([
            'e' => implode(',', $tokens['e']), 'x' => implode(',', $tokens['x']), 'last' => (string) end($added),
        ]));
    }

    /** Whether those who answered are examples for everybody; a lead agrees to it, and takes it back. */
    public function answers(Request $request, Offer $offer): RedirectResponse
    {
        $isAgreed = $request->boolean('agreed');
        $offer->update([
            'answers_agreed_by' => $isAgreed ? self::user($request)->id : null,
            'answers_agreed_at' => $isAgreed ? now() : null,
        ]);
        activity()->performedOn($offer)->log('those who answered are examples for '
            .($isAgreed ? 'everybody' : 'leads only'));

        return redirect()->route('alike')->with('said', $isAgreed ? 'Everybody may begin with those who answered.'
            : 'Only leads begin with those who answered.')
            ->with('undo', Undo::by('patch', route('alike.answers'), ['agreed' => $isAgreed ? 0 : 1]));
    }

    public function phrases(Request $request): View
    {
        $list = $this->list($request, 'accounts');

        return view('alike.phrases', ['page' => PhrasesPage::of($list === null ? self::tokens($request, 'e')
            : array_values(array_map(
                strval(...), $list->members()->limit(self::EXAMPLES)->pluck('record_id')->all(),
            )), $list)]);
    }

    /** Joins phrases into one search: any of them, with a second word if one is given, and without what is excluded. */
    public function search(PhrasesRequest $request): RedirectResponse
    {
        return $request->input('among') === 'candidates'
            ? redirect()->route('candidates', ['q' => $request->searched()])
            : redirect()->route('finder', ['on' => 'accounts', 'c' => [
                ['f' => 'words', 'q' => $request->searched()], ['f' => 'kept_out', 'x' => '1'],
            ]]);
    }

    /** @return string what stands for a text */
    private static function mark(string $text): string
    {
        return '~'.substr(Pasted::keep($text), 1);
    }

    /** @return list<string> */
    private static function tokens(Request $request, string $key): array
    {
        $given = $request->query($key);
        $text = is_array($given) ? implode(',', array_filter($given, is_scalar(...))) : (string) $given;

        return array_values(array_filter(
            explode(',', mb_substr($text, 0, self::LINES)), fn (string $one): bool => trim($one) !== '',
        ));
    }

    private function list(Request $request, string $subject): ?KeptList
    {
        $list = $request->integer('list') > 0 ? KeptList::query()->find($request->integer('list')) : null;

        return $list?->subject === $subject ? $list : null;
    }
}
