{{-- Heads are texts or App\View\Head; rows are the slot. --}}
@props(['heads', 'moves' => true])
<div class="table-responsive" @if ($moves) x-data="rows" @keydown.window="press" @endif>
    <table {{ $attributes->class('table mb-0') }}>
        <thead>
            <tr>
                @foreach (array_map(App\View\Head::from(...), $heads) as $head)
                    <th scope="col" @class(['text-end' => $head->isNumber]) @if ($head->sorted)
                        aria-sort="{{ $head->sorted }}" @endif>
                        @if ($head->url)<a href="{{ $head->url }}">{{ $head->label }}{{ $head->arrow() }}</a>
                        @else<span @class(['visually-hidden' => $head->isHidden])>{{ $head->label }}</span>@endif
                    </th>
                @endforeach
            </tr>
        </thead>
        <tbody>{{ $slot }}</tbody>
    </table>
</div>
