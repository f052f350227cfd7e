@use('Luftig\Core\Person\BusinessFunction')
@use('Luftig\Core\Person\Seniority')
<form method="post" action="{{ route('titles.store') }}" class="stack around">@csrf
    <input type="hidden" name="title" value="{{ $text }}">
    <div style="display: grid; grid-template-columns: 150px minmax(0, 1fr); gap: 8px; align-items: start">
        <label class="field"><span>Stands as</span><select name="seniority">@foreach (array_reverse(Seniority::cases()) as $one)<option value="{{ $one->value }}" @selected($reading->seniority === $one)>{{ $one->label() }}</option>@endforeach</select></label>
        <fieldset><legend style="font-weight: 500">Works on</legend><div class="functions">@foreach (BusinessFunction::cases() as $one)<label><input type="checkbox" name="functions[]" value="{{ $one->value }}" @checked($reading->has($one))> {{ $one->label() }}</label>@endforeach</div></fieldset>
    </div>
    <button class="button small">Teach</button>
</form>
