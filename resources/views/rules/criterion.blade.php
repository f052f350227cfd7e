@use('Luftig\Core\Profile\Field')
@use('Luftig\Core\Profile\Mode')
<tr data-removable>
    <td><input name="criteria[{{ $i }}][name]" value="{{ $row['name'] ?? '' }}" aria-label="Name of the criterion" maxlength="100" style="min-width: 110px"></td>
    <td><select name="criteria[{{ $i }}][field]" aria-label="What it looks at" style="min-width: 150px">@foreach (Field::cases() as $field)<option value="{{ $field->value }}" @selected(($row['field'] ?? 'headcount') === $field->value)>{{ $field->label() }}</option>@endforeach</select></td>
    <td><select name="criteria[{{ $i }}][mode]" aria-label="Gate or wish" style="min-width: 92px">@foreach (Mode::cases() as $mode)<option value="{{ $mode->value }}" @selected(($row['mode'] ?? 'prefer') === $mode->value)>{{ str_replace('_', ' ', $mode->value) }}</option>@endforeach</select></td>
    <td><input name="criteria[{{ $i }}][weight]" value="{{ $row['weight'] ?? '' }}" inputmode="decimal" aria-label="Weight" style="width: 48px"></td>
    <td><input name="criteria[{{ $i }}][value]" value="{{ $row['value'] ?? '' }}" aria-label="Values, query, or place" style="min-width: 120px"></td>
    <td><input name="criteria[{{ $i }}][low]" value="{{ $row['low'] ?? '' }}" inputmode="decimal" aria-label="From, or km" style="width: 78px"></td>
    <td><input name="criteria[{{ $i }}][high]" value="{{ $row['high'] ?? '' }}" inputmode="decimal" aria-label="To" style="width: 64px"></td>
    <td><button class="button slight" type="button" data-remove aria-label="Take away this criterion">×</button></td>
</tr>
