@if ($accounts->isEmpty() && $contacts->isEmpty() && $screens->isEmpty())<p class="muted">Nothing is called “{{ $text }}”.</p>@endif
@foreach ($screens as $name => $url)<a href="{{ $url }}"><span>{{ $name }}</span><span class="muted small">screen</span></a>@endforeach
@foreach ($accounts as $account)<a href="{{ route('accounts.show', $account) }}"><span>{{ $account->name }}</span><span class="muted small">{{ $account->domain }}</span></a>@endforeach
@foreach ($contacts as $contact)<a href="{{ route('accounts.show', $contact->account_id) }}"><span>{{ $contact->name() }}@if ($contact->title), <span class="soft">{{ $contact->title }}</span>@endif</span><span class="muted small">{{ $contact->account->name }}</span></a>@endforeach
