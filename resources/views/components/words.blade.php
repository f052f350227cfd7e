{{-- Words with what can be done with them; each asks afterwards whether it was done. --}}
@props(['ways', 'to' => null, 'id' => 'done'])
<div x-data="act" data-words="{{ $ways->words }}" data-asks="{{ $id }}" {{ $attributes->class('vstack gap-2') }}>
    <h3 class="small text-body-secondary">Draft @if ($to) to {{ $to }}@endif</h3>
    <p class="rounded bg-body p-2 lines breaks">{{ $ways->words }}</p>
    <x-acts :$ways>{{ $slot }}</x-acts>
</div>
<x-done :$ways :$id />
