<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KeepOutRequest;
use App\Intake\AccountIds;
use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\KeepOutType;
use App\Standings\Recognising;
use App\View\KeepOut\KeepOutPage;
use App\View\Say;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

final class KeepOutController extends Controller
{
    public function index(): View
    {
        return view('keep-out', ['page' => KeepOutPage::of()]);
    }

    public function store(KeepOutRequest $request): RedirectResponse
    {
        $entry = DB::transaction(function () use ($request): KeepOut {
            $entry = KeepOut::query()->create($request->entry() + ['user_id' => $request->user()->id]);
            self::touch($entry);

            return $entry;
        });
        $found = $entry->type === KeepOutType::Query ? DB::transaction(fn (): int => Recognising::apply($entry)) : null;

        return redirect()->to($request->nextPage())->with('said', $found === null ? "{$entry->value} is kept out." : Say::count($found, 'account').($found === 1 ? ' is' : ' are')." kept out by “{$entry->value}”; whoever comes in later and matches is, too.")->with('undo', Undo::by('delete', route('keep-out.destroy', $entry)));
    }

    public function destroy(KeepOut $keepOut): RedirectResponse
    {
        $this->authorize('delete', $keepOut);
        DB::transaction(function () use ($keepOut): void {
            self::touch($keepOut);
            $keepOut->delete();
        });

        return back()->with('said', "{$keepOut->value} may be approached again.");
    }

    private static function touch(KeepOut $entry): void
    {
        AccountIds::markStale(match ($entry->type) {
            KeepOutType::Account => array_filter([$entry->account_id]),
            KeepOutType::Query => DB::table('recognised')->where('keep_out_id', $entry->id)->pluck('account_id')->all(),
            KeepOutType::Contact => Contact::query()->whereKey($entry->contact_id)->pluck('account_id')->all(),
            KeepOutType::Domain => Account::query()->where('domain', $entry->value)->pluck('id')
                ->concat(Contact::query()->whereIn('id', Channel::query()->where('value', 'like', '%@'.addcslashes($entry->value, '%_\\'))->select('contact_id'))->pluck('account_id'))->all(),
            KeepOutType::Address => Contact::query()->whereIn('id', Channel::query()->where('value', $entry->value)->select('contact_id'))->pluck('account_id')->all(),
        });
    }
}
