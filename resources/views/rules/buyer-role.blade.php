@use('Luftig\Core\Person\BusinessFunction')
<div class="role-block" data-removable>
    <div class="role-line">
        <label class="field"><span>Name</span><input name="buyer_roles[{{ $i }}][name]" value="{{ $row['name'] ?? '' }}" maxlength="60"></label>
        <label class="field"><span>Weight</span><input name="buyer_roles[{{ $i }}][weight]" value="{{ $row['weight'] ?? 1 }}" inputmode="decimal"></label>
        <x-query :name="'buyer_roles['.$i.'][include]'" label="Titles in, as a query" :value="$row['include'] ?? ''" />
        <x-query :name="'buyer_roles['.$i.'][exclude]'" label="Titles out" :value="$row['exclude'] ?? ''" />
        <button class="button slight" type="button" data-remove aria-label="Take away this role">×</button>
    </div>
    <details><summary class="pine small">Functions: {{ implode(', ', array_map(fn ($f) => str_replace('_', ' ', $f), $row['functions'] ?? [])) ?: 'none yet' }}{{ ($row['neighbours'] ?? []) ? '; neighbours: '.implode(', ', array_map(fn ($f) => str_replace('_', ' ', $f), $row['neighbours'])) : '' }}{{ is_array($row['variants'] ?? null) && $row['variants'] ? '; titles in '.implode(', ', array_keys($row['variants'])) : '' }}</summary>
        @foreach (['functions' => 'Functions', 'neighbours' => 'Neighbouring functions, which count .4'] as $field => $label)
            <fieldset style="border: 0; padding: 6px 0 0; margin: 0"><legend class="small strong">{{ $label }}</legend><div class="functions">@foreach (BusinessFunction::cases() as $one)<label><input type="checkbox" name="buyer_roles[{{ $i }}][{{ $field }}][]" value="{{ $one->value }}" @checked(in_array($one->value, $row[$field] ?? [], true))> {{ $one->label() }}</label>@endforeach</div></fieldset>
        @endforeach
        <label class="field"><span class="small">Titles in one country only, a line each, as DE: versorgungstechnik*</span><textarea name="buyer_roles[{{ $i }}][variants]" rows="2" maxlength="2000">{{ is_string($row['variants'] ?? '') ? $row['variants'] ?? '' : implode("\n", array_map(fn ($country, $query) => "$country: $query", array_keys($row['variants']), $row['variants'])) }}</textarea></label>
    </details>
    <button class="button slight small" type="button" hx-post="{{ route('rules.matches', [$editing, 'role' => $i]) }}" hx-target="next .role-found" hx-swap="innerHTML" hx-include="closest form" hx-trigger="click, change from:closest .role-block delay:400ms">Who matches, and who just misses</button>
    <div class="role-found" aria-live="polite"></div>
</div>
