@use('App\View\Say')
@if ($focus)
    @php
        $standing = $focus->standing;
        $account = $standing->account;
        $place = $account->headquarters();
    @endphp
    <section class="card stack" aria-label="{{ $account->name }}" data-focused="{{ $account->id }}">
        <div>
            <h2 class="large"><a href="{{ route('accounts.show', $account) }}">{{ $account->name }}</a></h2>
            <p class="muted">{{ collect([$place?->city, $account->industries->first()?->code ? lcfirst(\Luftig\Core\Firm\Industries::name($account->industries->first()->code)) : null, $account->headcount ? ($account->headcount_given ?? number_format($account->headcount)).' heads' : null])->filter()->implode(' · ') }}</p>
        </div>
        <x-parts :standing="$standing" />
        <div>
            <h3 class="muted small">Why now</h3>
            @forelse (array_slice($focus->lines, 0, 6) as $line)
                <div class="share">
                    <span>{{ $line->signal->title }} <span class="muted small"><x-ago :time="$line->signal->occurred_at" /></span></span>
                    <span class="strong">@if ($line->share === null)<span class="plum">against</span>@else{{ Say::percent($line->share) }}@endif</span>
                    <span @class(['bar', 'against' => $line->share === null]) style="width: {{ round(100 * ($line->share ?? min(1, -$line->push))) }}%" aria-hidden="true"></span>
                </div>
            @empty
                <p class="soft">Nothing happened there lately. It fits, so a reason can start from what they are.</p>
            @endforelse
        </div>
        @if ($focus->others !== [])
            <p class="small soft" data-others>Also to contact there: @foreach ($focus->others as $other)<a href="{{ route('reasons.create', [$account, 'contact' => $other->id]) }}">{{ $other->name() }}</a>@if ($other->title), {{ $other->title }}@endif @unless ($loop->last) · @endunless @endforeach</p>
        @endif
        <div>
            <h3 class="muted small">Draft @if ($focus->contact) to {{ $focus->contact->name() }}@endif</h3>
            <p class="quiet above">{{ $focus->draft->words() }}</p>
        </div>
        <div class="buttons">
            <a class="button primary" href="{{ route('reasons.create', [$account, 'contact' => $focus->contact?->id]) }}">Record the reason</a>
            <button class="button" type="button" data-open="later-{{ $account->id }}">Later</button>
            <button class="button" type="button" data-open="out-{{ $account->id }}">Keep out</button>
        </div>
        <p class="muted small"><kbd>↑</kbd> <kbd>↓</kbd> move <kbd>Enter</kbd> open <kbd>R</kbd> reason <kbd>L</kbd> later <kbd>X</kbd> keep out</p>
    </section>
    <x-later :account="$account" next="/" />
    <x-keep-out-form :account="$account" next="/" />
@endif
