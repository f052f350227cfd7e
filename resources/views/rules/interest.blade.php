@use('Luftig\Core\Person\BusinessFunction')
<div class="role-block" data-removable>
    <div class="role-line interest">
        <label class="field"><span>Name</span><input name="roles_of_interest[{{ $i }}][name]" value="{{ $row['name'] ?? '' }}" maxlength="60"></label>
        <x-query :name="'roles_of_interest['.$i.'][title_query]'" label="Title of the opening, as a query" :value="$row['title_query'] ?? ''" />
        <x-query :name="'roles_of_interest['.$i.'][text_query]'" label="Text of the opening" :value="$row['text_query'] ?? ''" />
        <button class="button slight" type="button" data-remove aria-label="Take away this role of interest">×</button>
    </div>
    <details><summary class="pine small">Concerns whoever heads: {{ implode(', ', array_map(fn ($f) => str_replace('_', ' ', $f), $row['functions'] ?? [])) ?: 'nobody yet' }}</summary>
        <div class="functions">@foreach (BusinessFunction::cases() as $one)<label><input type="checkbox" name="roles_of_interest[{{ $i }}][functions][]" value="{{ $one->value }}" @checked(in_array($one->value, $row['functions'] ?? [], true))> {{ $one->label() }}</label>@endforeach</div></details>
</div>
