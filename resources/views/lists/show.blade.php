@use('App\View\Say')
<x-layout :title="$list->name" at="lists">
    <p class="back"><a href="{{ route('lists.index') }}" data-back>← Lists</a></p>
    <div class="spread"><div class="line"><h1>{{ $list->name }}</h1><span class="muted">{{ Say::count($size, rtrim($list->subject, 's')) }}, by {{ $list->user->name ?? 'somebody' }} <x-ago :time="$list->created_at" /></span></div>
        <div class="buttons"><a class="button primary" href="{{ route('lists.sample', $list) }}">Spot check</a><a class="button" href="{{ route('lists.steps', $list) }}">Step through</a><a class="button" href="{{ route('finder', ['on' => $list->subject, 'c' => [['f' => 'list', 'v' => $list->id]]]) }}">Open in the Finder</a>
            @if ($list->subject === 'accounts')<a class="button" href="{{ route('finder', ['on' => 'contacts', 'c' => [['f' => 'list', 'v' => $list->id], ['f' => 'kept_out', 'x' => 1]]]) }}">Its contacts</a>@endif
            <form method="post" action="{{ route('lists.destroy', $list) }}">@csrf @method('DELETE')<button class="button">Delete</button></form></div></div>
    <x-wrong :for="['by', 'parts', 'trial', 'tag']" />
    @if ($trial)
        <div class="card gap spread"><p>Held until the answers of <a href="{{ route('lists.show', $trial->list) }}">{{ $trial->list->name }}</a> are in: {{ $trial->approached }} of {{ $trial->size }} approached, {{ $trial->answered }} answered or silent for two weeks. @if ($trial->isIn())<strong>They are in.</strong>@endif</p>
            <form method="post" action="{{ route('lists.release', $list) }}">@csrf @method('DELETE')<button class="button">{{ $trial->isIn() ? 'Go on with it' : 'Go on all the same' }}</button></form></div>
    @endif
    <div class="list-more gap">
    <details><summary class="pine">Split into batches</summary>
        <form method="post" action="{{ route('lists.split', $list) }}" class="buttons" style="padding-top: 8px; align-items: end">@csrf
            <label class="field"><span>By</span><select name="by">@foreach (App\Finder\SplitBy::of($subject) as $by)<option value="{{ $by->value }}">{{ $by->label() }}</option>@endforeach</select></label>
            <label class="field"><span>Parts, if evenly</span><input type="number" name="parts" min="2" max="20" value="2" style="width: 90px"></label>
            <button class="button">Split</button><span class="muted small">Each part becomes a list; this one stays.</span></form></details>
    @if ($size > 1)
        <details><summary class="pine">A trial first</summary>
            <form method="post" action="{{ route('lists.trial', $list) }}" class="buttons list-form">@csrf<label class="field"><span>So many, drawn evenly</span><input type="number" name="trial" min="1" max="{{ $size - 1 }}" value="{{ min(20, $size - 1) }}"></label><button class="button">Draw the trial</button><span class="muted small">The rest becomes a list that is held until the answers are in.</span></form></details>
    @endif
    <details><summary class="pine">Tag them</summary>
        <form method="post" action="{{ route('tags.store') }}" class="buttons list-form">@csrf<input type="hidden" name="subject" value="{{ $list->subject }}"><input type="hidden" name="list" value="{{ $list->id }}"><label class="field"><span>Tag</span><input name="tag" required maxlength="60" list="tags"></label><datalist id="tags">@foreach ($tags as $tag)<option>{{ $tag }}</option>@endforeach</datalist><button class="button">Tag all {{ number_format($size) }}</button></form></details>
    </div>
    <p class="soft gap">Made by: @foreach ($search->steps as $step)<strong>{{ $step->excludes() ? 'not ' : '' }}{{ $step->field->label() }}</strong> {{ $step->says() }}{{ $loop->last ? '' : ' · ' }}@endforeach{{ $list->per_account ? ', at most '.$list->per_account.' at one account' : '' }};
        <a href="{{ route('finder', $search->parameters()) }}">the same search today</a> would add {{ number_format($newer) }} and miss {{ number_format($gone) }}.</p>
    <div class="scroll gap">@include('finder.table', ['rows' => $rows, 'choose' => false])</div>
    <x-pager :pages="$pages" />
</x-layout>
