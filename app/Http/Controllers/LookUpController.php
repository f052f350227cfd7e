<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\FiguresRequest;
use App\Http\Requests\LookUpRequest;
use App\Jobs\RunLookUps;
use App\LookUps\BeginRun;
use App\LookUps\Spending;
use App\LookUps\Wanted;
use App\Models\Contact;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Offer;
use App\Models\Outcome;
use App\Support\Format;
use App\Support\Together;
use App\View\LookUps\BeginPage;
use App\View\LookUps\LedgerPage;
use App\View\LookUps\LookUpsPage;
use App\View\LookUps\Pays;
use App\View\LookUps\RunPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Addresses asked for of outside services: what it would take, what it took, and what came. */
final class LookUpController extends Controller
{
    public function index(Request $request, Offer $offer): View
    {
        return view('look-ups.index', ['page' => LookUpsPage::of($offer, self::user($request))]);
    }

    /** What look-ups would bring to this week's plan, in a line. */
    public function pays(Request $request, Offer $offer): View
    {
        return view('look-ups.pays', ['pays' => Pays::of($offer, self::user($request))]);
    }

    public function ledger(): View
    {
        return view('look-ups.ledger', ['page' => LedgerPage::make()]);
    }

    /** What it would be; nothing is asked yet. */
    public function create(LookUpRequest $request, Offer $offer): View
    {
        return view('look-ups.create', ['page' => $this->begun($request, $offer)]);
    }

    public function store(LookUpRequest $request, Offer $offer): RedirectResponse
    {
        $page = $this->begun($request, $offer);
        $obstacle = $page->obstacle();
        if ($obstacle !== null) {
            return back()->withErrors(['contacts' => $obstacle === '' ? $page->says() : $obstacle]);
        }
        $run = BeginRun::of(
            $offer,
            self::user($request),
            $page->name,
            $request->list(),
            $page->wanted->contacts,
            $request->filled('most') ? $request->float('most') : null,
            $request->boolean('accepts_doubtful'),
        );
        RunLookUps::dispatch($run->id);

        return redirect()->route('look-ups.run', $run)
            ->with('said', Format::count($page->outlook->people, 'person is', 'people are').' being asked for.');
    }

    /** Figures of companies, as they were proposed. */
    public function figures(FiguresRequest $request, Offer $offer): RedirectResponse
    {
        $figures = $request->figures();
        $obstacle = match (true) {
            $figures === [] => 'What was chosen is known meanwhile, or no longer there.',
            LookUpService::query()->that(LookUpService::KNOWS)->doesntExist() => 'No service that knows figures is '
                .'asked at present.',
            Spending::leftTo(self::user($request)) <= 0 => 'Nothing is left to spend this month; a lead sets the '
                .'budget under Look-ups.',
            default => null,
        };
        if ($figures === [] || $obstacle !== null) {
            return redirect()->route('look-ups')->withErrors(['figures' => $obstacle]);
        }
        $run = BeginRun::ofFigures($offer, self::user($request), $figures);
        RunLookUps::dispatch($run->id);

        return redirect()->route('look-ups.run', $run)
            ->with('said', Format::count(count($figures), 'figure is', 'figures are').' being asked for.');
    }

    public function show(LookUpRun $run): View
    {
        return view('look-ups.run', ['page' => RunPage::of($run)]);
    }

    /** What is being asked at the moment is answered still. */
    public function stop(LookUpRun $run): RedirectResponse
    {
        LookUpRun::query()->whereKey($run->id)->whereIn('state', [LookUpRun::QUEUED, LookUpRun::RUNNING])
            ->update(['state' => LookUpRun::STOPPED]);

        return redirect()->route('look-ups.run', $run)->with('said', 'Stopped. What was found stays.');
    }

    /** With those who were not asked for yet, and those for whom a service failed. */
    public function resume(LookUpRun $run): RedirectResponse
    {
        if (! $run->isOpen()) {
            Together::write(function () use ($run): void {
                foreach ([$run->people(), $run->figures()] as $asked) {
                    $asked->where('outcome', Outcome::Failed->value)
                        ->update(['outcome' => Outcome::Waiting->value, 'why' => null]);
                }
                $run->update([
                    'state' => LookUpRun::QUEUED, 'problem' => null, 'finished_at' => null, 'left_out' => null,
                ]);
            }, $run);
            RunLookUps::dispatch($run->id);
        }

        return redirect()->route('look-ups.run', $run)->with('said', 'It goes on.');
    }

    private function begun(LookUpRequest $request, Offer $offer): BeginPage
    {
        $list = $request->list();
        $people = $request->people();
        $many = count($people);
        $name = $list->name ?? ($many === 1 ? Contact::query()->whereKey($people)->first()?->name() : null)
            ?? Format::count($many, 'person', 'people');

        return BeginPage::of(
            self::user($request), $name, $list?->id, Wanted::of($offer, $people, $request->least()), $request->least(),
        );
    }
}
