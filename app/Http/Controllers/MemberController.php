<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MemberRequest;
use App\Lists\Collect;
use App\Models\KeptList;
use App\Models\Offer;
use App\Support\Format;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Luftig\Core\Search\Subject;

/** Members of lists, collected and taken off by hand from wherever they are seen. */
final class MemberController extends Controller
{
    public function store(MemberRequest $request, Offer $offer): RedirectResponse
    {
        $subject = $request->subject();
        $ids = $request->ids($subject);
        $list = $request->filled('onto')
            ? KeptList::query()->where('offer_id', $offer->id)->where('subject', $subject->value)
                ->findOrFail($request->integer('onto'))
            : Collect::named(
                $offer, $subject, $request->string('list_name')->trim()->toString(), self::user($request),
            );
        $this->authorize('update', $list);
        $new = Collect::add($list, $ids);
        $thing = rtrim($subject->value, 's');

        return back()
            ->with('said', match (true) {
                $new === [] => "On “{$list->name}” already.",
                default => Format::count(count($new), $thing)." added to “{$list->name}”"
                    .(count($new) < count($ids) ? '; the others were on it already.' : '.'),
            })
            ->with('undo', $new === [] ? null : Undo::by(
                'delete', route('members.destroy', $list), ['only' => implode(',', $new)],
            ));
    }

    public function destroy(Request $request, KeptList $list): RedirectResponse
    {
        $sent = $request->input('only');
        $ids = array_map(
            fn (mixed $id): int => is_scalar($id) ? (int) $id : 0,
            is_array($sent) ? $sent : explode(',', is_string($sent) ? $sent : ''),
        );
        $gone = Collect::remove($list, array_values($ids));
        $thing = rtrim(Subject::from($list->subject)->value, 's');

        return back()
            ->with('said', $gone === []
                ? 'Choose whom to remove.'
                : Format::count(count($gone), $thing)." removed from “{$list->name}”.")
            ->with('undo', $gone === [] ? null : Undo::by('post', route('members.store'), [
                'subject' => $list->subject, 'onto' => $list->id, 'only' => implode(',', $gone),
            ]));
    }
}
