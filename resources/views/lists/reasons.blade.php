<x-layout title="Reasons for {{ $list->name }}" at="lists">
    <x-back :to="route('lists.show', $list)">{{ $list->name }}</x-back>
    <x-heading title="Reasons for those on it" about="each in its own words, with what it rests on" />
    <x-wrong for="contacts" />
    @if (count($proposed->rows) > 20)<p class="text-body-secondary mt-2">That is many at once. A trial first, of the
        list, tells whether the words bring answers.</p>@endif
    @if ($proposed->rows === [])<x-empty>For nobody on it a reason can be proposed now.</x-empty>
    @else
        <x-form :to="route('lists.reasons.store', $list)" class="vstack gap-3 mt-3">
            <div>
                @foreach ($proposed->rows as $row)
                    <div class="row gx-2 border-top py-2">
                        <div class="col-md-4"><x-tick name="contacts[]" :value="$row['contact']->id" checked><strong>{{
                            $row['contact']->name() }}</strong></x-tick>
                            <span class="small text-body-secondary">{{ $row['contact']->title }}<br></span><a
                                class="small" href="{{ route('accounts.show', $row['account']) }}">{{
                                $row['account']->name }}</a></div>
                        <div class="col-md-8"><p class="mb-1 breaks lines">{{ $row['draft']->words() }}</p>
                            <p class="small text-body-secondary mb-0">{{ $row['draft']->angle }} ·
                                {{ $row['draft']->reads() }}</p></div>
                    </div>
                @endforeach
            </div>
            <div><x-button kind="primary">Record them</x-button></div>
        </x-form>
    @endif
    @if ($proposed->leftOut !== [])
        <x-more says="Left out, and why ({{ count($proposed->leftOut) }})" class="mt-3">
            <ul class="list-unstyled mb-0">
                @foreach (array_slice($proposed->leftOut, 0, 100) as [$who, $why])
                    <li class="border-top py-1">{{ $who }}: <span class="text-body-secondary">{{ $why }}</span></li>
                @endforeach
            </ul>
        </x-more>
    @endif
</x-layout>
