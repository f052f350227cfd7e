<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Search;
use App\Lists\RecordTags;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Tag;
use App\Support\Format;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Words put on accounts and contacts: on one, on those ticked, on all that a search found, on a list. */
final class TagController extends Controller
{
    /** What was done to more at once is not offered to be undone. */
    private const UNDONE = 5000;

    public function store(Request $request, Offer $offer): RedirectResponse
    {
        $request->validate(
            [
                'tag' => ['required', 'string', 'max:60', 'not_regex:/[,;]/'],
                'subject' => ['required', Rule::in(['accounts', 'contacts'])],
                'only' => ['nullable'],
                'only.*' => ['integer'],
                'list' => ['nullable', 'integer', 'exists:lists,id'],
            ],
            [
                'tag.required' => 'Give the tag a name.',
                'tag.not_regex' => 'A tag is one word or a few, without commas.',
            ],
        );
        $subject = $request->string('subject')->toString();
        $sent = $request->input('only', []);
        $sent = is_string($sent) ? explode(',', $sent) : (array) $sent;
        $only = array_values(array_map(intval(...), array_filter($sent, is_numeric(...))));
        $ids = match (true) {
            $only !== [] => $only,
            $request->filled('list') => array_values(
                KeptList::query()->where('subject', $subject)->findOrFail($request->integer('list'))->members()
                    ->pluck('record_id')->all(),
            ),
            default => Search::from($offer, $request->input() + ['on' => $subject])->ids(),
        };
        $tag = Tag::query()->firstOrCreate(['name' => $request->string('tag')->trim()->toString()]);
        $new = RecordTags::put($tag, $subject, $ids, self::user($request));

        return back()
            ->with('said', Format::count(count($new), rtrim($subject, 's'))." got the tag “{$tag->name}”"
                .(count($new) < count($ids) ? '; the others had it' : '').'.')
            ->with('undo', $new === [] || count($new) > self::UNDONE ? null : Undo::by(
                'delete', route('tags.destroy', $tag), ['subject' => $subject, 'record' => implode(',', $new)],
            ));
    }

    /** From one record, or from those that got it at once; a tag that nothing has any longer is gone. */
    public function destroy(Request $request, Tag $tag): RedirectResponse
    {
        $request->validate(
            [
                'subject' => ['required', Rule::in(['accounts', 'contacts'])],
                'record' => ['required', 'regex:/^[\d,]+$/'],
            ],
        );
        $records = array_map(intval(...), explode(',', $request->string('record')->toString()));
        RecordTags::take($tag, $request->string('subject')->toString(), $records);

        return back()->with('said', "The tag “{$tag->name}” is removed.")->with('undo', Undo::by(
            'post',
            route('tags.store'),
            ['tag' => $tag->name, 'subject' => $request->input('subject'), 'only' => $request->input('record')],
        ));
    }
}
