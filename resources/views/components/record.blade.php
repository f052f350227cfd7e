{{-- One of a list, to be decided on with two keys. --}}
@props(['card', 'to', 'field', 'yes', 'no'])
<div class="card card-body vstack gap-2 mt-2" data-record>
    <h2 class="fs-4"><a class="text-body" href="{{ $card->url }}">{{ $card->name }}</a></h2>
    <p class="text-body-tertiary">{{ $card->about() }}</p>
    @if ($card->description())<p class="breaks">{{ $card->description() }}</p>@endif
    <p class="small text-body-secondary">{{ $card->standing() }}</p>
    <x-form :$to class="hstack gap-2">
        <input type="hidden" name="record" value="{{ $card->id }}">
        <x-button kind="primary" key="p" :name="$field" value="1">{{ $yes }} <kbd>P</kbd></x-button>
        <x-button key="d" :name="$field" value="0">{{ $no }} <kbd>D</kbd></x-button>
    </x-form>
</div>
