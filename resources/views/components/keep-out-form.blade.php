@props(['account', 'next', 'contact' => null, 'key' => null])
@php $key ??= $contact === null; @endphp
<dialog id="{{ $contact ? 'out-contact-'.$contact->id : 'out-'.$account->id }}" @if ($key) data-key="x" @endif aria-label="Keep out: {{ $contact?->name() ?? $account->name }}">
    <form method="post" action="{{ route('keep-out.store') }}" class="stack">
        @csrf
        <h2>Keep out: {{ $contact?->name() ?? $account->name }}</h2>
        <p class="soft">{{ $contact ? 'This person is' : 'The account and everybody in it are' }} left out of Today and of every list, for the whole team.</p>
        @if ($contact)<input type="hidden" name="contact" value="{{ $contact->id }}">@else<input type="hidden" name="account" value="{{ $account->id }}">@endif
        <input type="hidden" name="next" value="{{ $next }}">
        <label class="field"><span>Why</span><input name="reason" required maxlength="190" placeholder="asked not to be contacted"></label>
        <label class="field"><span>Until, if it ends</span><input type="date" name="until" min="{{ today()->addDay()->toDateString() }}"></label>
        <div class="buttons"><button class="button primary">Keep out</button><button class="button" type="button" data-close>Leave it</button></div>
    </form>
</dialog>
