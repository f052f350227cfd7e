{{-- Onto a list that is there or a new one: what is opened, or those ticked in it. --}}
@props(['id', 'title', 'subject', 'lists', 'only' => [], 'people' => null])
<x-confirm :$id :$title :to="route('members.store')" does="Add"
    :opens="$errors->hasAny(['list_name', 'onto', 'only']) && old('subject') === $subject">
    <input type="hidden" name="subject" value="{{ $subject }}">
    @foreach ($only as $one)<input type="hidden" name="only[]" value="{{ $one }}">@endforeach
    @if ($people !== null)
        <fieldset class="vstack gap-1 tall overflow-y-auto"><legend class="form-label fs-6 mb-1">Whom</legend>
            @foreach ($people as $one => [$name, $isChosen])<x-tick :label="$name" name="only[]" :value="$one"
                :checked="$isChosen" />@endforeach
            <x-wrong for="only" />
        </fieldset>
    @endif
    <x-field label="Onto" name="onto" :options="$lists" :value="old('onto')" />
    <x-field label="Name of a new one" name="list_name" maxlength="100" :value="old('list_name')" />
</x-confirm>
