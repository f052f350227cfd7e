<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Feeds\TakeDocument;
use App\Feeds\Unreadable;
use App\Http\Requests\MappingRequest;
use App\Http\Requests\UploadRequest;
use App\Intake\Mapping;
use App\Intake\ReceiveFile;
use App\Intake\RowReaders;
use App\Intake\SecondReading;
use App\Intake\UnreadableFile;
use App\Jobs\LookThroughIntake;
use App\Jobs\RefreshStandings;
use App\Jobs\RunIntake;
use App\Models\Intake;
use App\Models\IntakeCell;
use App\Models\IntakeKind;
use App\Models\IntakeRejection;
use App\Models\IntakeState;
use App\Support\Csv;
use App\Support\Format;
use App\View\Intake\CheckPage;
use App\View\Intake\IntakePage;
use App\View\Intake\IntakesPage;
use App\View\Intake\Outlook;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class IntakeController extends Controller
{
    public function index(): View
    {
        return view('intake.index', ['page' => IntakesPage::of()]);
    }

    /** The first of them in the order in which they have to be brought in is looked at first. */
    public function store(UploadRequest $request): RedirectResponse
    {
        $brought = $refused = [];
        $run = null;
        foreach (ReceiveFile::sources($request->uploads(), $request->pasted()) as $name => $path) {
            try {
                $format = TakeDocument::format($path);
                if ($format !== null) {
                    $run = TakeDocument::take($path, $format, self::user($request));

                    continue;
                }
                $brought[] = $intake = ReceiveFile::file($path, $name, self::user($request));
                LookThroughIntake::dispatch($intake->id);
            } catch (UnreadableFile|Unreadable $e) {
                $refused[] = "$name was refused. {$e->getMessage()}";
            }
        }
        usort($brought, fn (Intake $one, Intake $other): int => $one->kind->order() <=> $other->kind->order());
        if ($run !== null) {
            dispatch(RefreshStandings::ofChanged());
        }
        $to = match (true) {
            $brought !== [] => redirect()->route('intake.show', $brought[0]),
            $run !== null => redirect()->route('feeds.show', $run->feed_id)->with('said', 'It is in, and stands here.'),
            default => back(),
        };

        return $refused === [] ? $to : $to->withErrors(['file' => implode(' ', $refused)])->withInput();
    }

    public function show(Request $request, Intake $intake): View|RedirectResponse
    {
        $intake->load('user');

        if ($intake->state !== IntakeState::Draft) {
            return view('intake.show', ['page' => IntakePage::of($intake, self::user($request))]);
        }
        try {
            return view('intake.check', ['page' => CheckPage::of($intake, self::user($request))]);
        } catch (UnreadableFile $e) {
            $intake->discard();

            return redirect()->route('intake.index')
                ->withErrors(['file' => "{$intake->name} was put aside. {$e->getMessage()}"]);
        }
    }

    /** Another kind of rows, or other columns. */
    public function update(MappingRequest $request, Intake $intake): RedirectResponse
    {
        $kind = $request->kind();
        if ($request->sheet() !== null) {
            try {
                $other = ReceiveFile::sheet($intake, $request->sheet());
                LookThroughIntake::dispatch($other->id);

                return redirect()->route('intake.show', $other);
            } catch (UnreadableFile $e) {
                return redirect()->route('intake.show', $intake)
                    ->withErrors(['sheet' => "“{$request->sheet()}” was not taken. {$e->getMessage()}"]);
            }
        }
        $intake->update($kind !== $intake->kind
            ? ['kind' => $kind, 'mapping' => Mapping::guess(
                $kind, $intake->format['columns'], $intake->format['sorts'] ?? [],
            )]
            : $request->says());
        LookThroughIntake::dispatch($intake->id);

        return redirect()->route('intake.show', $intake);
    }

    /** What would become of all its rows, as far as that is found out. */
    public function outlook(Intake $intake): View
    {
        return view('components.intake.outlook', ['outlook' => Outlook::of($intake)]);
    }

    public function start(MappingRequest $request, Intake $intake): RedirectResponse
    {
        $intake->update($request->says());
        $problem = Mapping::problem($intake);
        if ($problem !== null) {
            return redirect()->route('intake.show', $intake)->withErrors(['mapping' => $problem]);
        }
        // Only one of two clicks at once finds it still a draft.
        if (
            Intake::query()->whereKey($intake->id)->where('state', IntakeState::Draft)
                ->update(['state' => IntakeState::Queued])
                === 1
        ) {
            RunIntake::dispatch($intake->id);
        }

        return redirect()->route('intake.show', $intake);
    }

    public function stop(Request $request, Intake $intake): RedirectResponse
    {
        Intake::query()->whereKey($intake->id)->whereIn('state', [IntakeState::Queued, IntakeState::Running])->update([
            'state' => IntakeState::Stopped, 'stopped_by' => self::user($request)->id,
        ]);

        return back();
    }

    public function resume(Intake $intake): RedirectResponse
    {
        if (
            Intake::query()->whereKey($intake->id)->where('state', IntakeState::Stopped)
                ->update(['state' => IntakeState::Queued, 'message' => null, 'stopped_by' => null])
                === 1
        ) {
            RunIntake::dispatch($intake->id);
        }

        return redirect()->route('intake.show', $intake);
    }

    public function undo(Intake $intake): RedirectResponse
    {
        if (
            Intake::query()->whereKey($intake->id)->whereIn('state', [IntakeState::Done, IntakeState::Stopped])
                ->update(['state' => IntakeState::Undoing, 'stopped_by' => null])
                === 1
        ) {
            RunIntake::dispatch($intake->id, true);
        }

        return redirect()->route('intake.show', $intake);
    }

    /** Rows that waited come in: accounts without a website, or rows with a cell too many as it was proposed. */
    public function settle(Request $request, Intake $intake, SecondReading $reading): RedirectResponse
    {
        $came = $request->input('how') === 'proposed'
            ? $reading->bringAsProposed($intake)
            : $reading->bringWithoutWebsite($intake);
        dispatch(RefreshStandings::ofChanged());

        return redirect()->route('intake.show', $intake)
            ->with('said', Format::count($came, 'row').' that waited came in; undoing the file undoes them too.');
    }

    /** Forgets a file that was not brought in. */
    public function destroy(Intake $intake): RedirectResponse
    {
        abort_unless($intake->state === IntakeState::Draft, 409);
        $intake->discard();

        return redirect()->route('intake.index')
            ->with('said', "{$intake->name} was put aside; nothing of it was brought in.");
    }

    public function rejected(Intake $intake): StreamedResponse
    {
        $columns = $intake->format['columns'];

        return Csv::download('rejected-'.$intake->id.'.csv',
            [...$columns, 'line', 'why it did not come in'],
            $intake->rejections()->lazy(500)->map(
                fn (IntakeRejection $row): array => [
                    ...array_pad(array_slice($row->row, 0, count($columns)), count($columns), ''),
                    (string) $row->line,
                    $row->reason,
                ],
            ));
    }

    /** Cells that could not be read, to be looked through in a spreadsheet. */
    public function unread(Intake $intake): StreamedResponse
    {
        return Csv::download('unread-'.$intake->id.'.csv', ['line', 'column', 'what is written there'],
            $intake->cells()->lazy(500)->map(
                fn (IntakeCell $cell): array => [(string) $cell->line, $cell->heading, $cell->written],
            ));
    }

    public function template(string $kind): StreamedResponse
    {
        $columns = RowReaders::of(IntakeKind::tryFrom($kind) ?? abort(404))::columns();
        unset($columns['extras']);

        return Csv::download(
            "luftig-$kind.csv",
            array_map(fn (string $field): string => str_replace('_', ' ', $field), array_keys($columns)),
            [array_column($columns, 'example')],
        );
    }
}
