<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\Titles;
use App\Models\TitleLesson;
use App\Support\FunctionNames;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\Title;

/** Titles that a lead teaches; each lesson applies at once and can be taken back. */
final class TitleLessonController extends Controller
{
    public function store(Request $request): RedirectResponse
    {
        $request->validate([
            'title' => ['required', 'string', 'max:190'],
            'seniority' => ['required', Rule::enum(Seniority::class)],
            'status' => ['nullable', Rule::enum(Status::class)],
            'functions' => ['array'], 'functions.*' => [Rule::enum(BusinessFunction::class)],
        ], ['seniority.required' => 'Choose how high it stands.']);
        $functions = array_map(
            fn (string $name): BusinessFunction => BusinessFunction::from($name),
            (array) $request->input('functions', []),
        );
        $says = new Title(
            $request->enum('status', Status::class) ?? Status::Current,
            Seniority::from($request->string('seniority')->toString()),
            BusinessFunction::set($functions),
        );
        if ($says->isUnknown()) {
            return back()
                ->withErrors(['seniority' => 'Choose a seniority or a function; as it stands this teaches nothing.']);
        }
        $lesson = Titles::teach($request->string('title')->toString(), $says, self::user($request));

        return back()->with('said', "“{$lesson->title}” is read as ".FunctionNames::title($says).' from now on.')
            ->with('undo', Undo::by('delete', route('titles.destroy', $lesson)));
    }

    public function destroy(TitleLesson $lesson): RedirectResponse
    {
        Titles::forget($lesson);

        return back()->with('said', "“{$lesson->title}” is read by the dictionaries again.");
    }
}
