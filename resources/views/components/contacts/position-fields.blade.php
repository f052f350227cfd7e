@props(['contact', 'position' => null])
<x-field class="w-100" label="Title" name="title" required maxlength="190" :value="$position?->title" />
<x-field class="w-100" label="Company, by domain or name; empty is {{ $contact->account->name }}" name="company"
    maxlength="190"
    :value="$position?->elsewhere($contact)" />
<div class="row g-2 w-100">
    <x-field width="col-6" label="Since" name="since" type="date" :max="today()->toDateString()"
        :value="$position?->since?->toDateString()" />
    <x-field width="col-6" label="Until, if over" name="until" type="date" :max="today()->toDateString()"
        :value="$position?->until?->toDateString()" />
</div>
