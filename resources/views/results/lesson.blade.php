<x-layout title="What results speak for" at="results">
    <x-back :to="route('results')">Results</x-back>
    <x-heading title="What results speak for" about="proposed; the rules stay as they are until a lead accepts it" />
    <x-wrong for="lesson" />
    <p class="mt-3 mb-1">{{ $page->says() }}</p>
    @if ($page->decided())<p class="text-body-secondary">{{ $page->decided() }}</p>@endif
    <div class="row g-4 mt-0">
        @if ($page->learned)
            <section class="col-lg-7">
                <x-table :heads="['Line', '#Set', '#Learned', 'Between, of 90 %', 'Becomes']" :moves="false">
                    @foreach ($page->lines() as $line)
                        <tr><td>{{ $line['name'] }}<br><span class="small text-body-secondary">{{ $line['moved']
                            }}</span></td><td class="text-end">{{ $line['before'] }}</td>
                            <td class="text-end fw-semibold">{{ $line['after'] }}</td>
                            <td class="small text-nowrap">{{ $line['interval'] }}</td>
                            <td class="small text-nowrap">{{ $line['becomes'] }}</td></tr>
                    @endforeach
                </x-table>
                <p class="form-text">Points for each line at its fullest. What would speak the other way than it is set
                    becomes a weight of 0; each account starts so that those approached keep their mean.</p>
            </section>
        @endif
        <div @class(['col-lg-5' => $page->learned, 'col' => ! $page->learned, 'vstack gap-4'])>
            @if ($page->learned)
                <section class="card card-body vstack gap-3">
                    <h2>What would move</h2>
                    @if ($page->isInForce())<p class="mb-0">The rules follow these results already.</p>
                        @if ($page->before())
                            @can('create', App\Models\Lesson::class)<x-form :to="route('lessons.back', $page->before())"
                                class="hstack"><x-button>Take back what was accepted</x-button></x-form>@endcan
                        @endif
                    @else
                        <div id="moves" aria-live="polite" hx-get="{{ route('lessons.moves') }}" hx-trigger="load"><a
                            href="{{ route('lessons.moves') }}">Show it</a></div>
                        @can('create', App\Models\Lesson::class)
                            <x-form :to="route('lessons.store')" class="hstack gap-2">
                                <input type="hidden" name="mark" value="{{ $page->mark() }}">
                                <input type="hidden" name="version" value="{{ $page->version() }}">
                                <x-button kind="primary" name="accepted" value="1">Accept as the rules</x-button>
                                <x-button name="accepted" value="0">Decline</x-button>
                            </x-form>
                        @endcan
                    @endif
                </section>
                <x-section title="Whether the chances hold" about="a fifth of the approaches a line">
                    @foreach ($page->chances() as $rate)<x-results.rate :$rate />@endforeach
                    <p class="form-text">Each approach’s chance is told by what was learned from the others. The dashed
                        line is what was told, the other one how many answered, with its interval of 95 %.</p>
                </x-section>
            @endif
            @if ($page->sources() !== [])
                <x-section title="How far sources held">
                    @foreach ($page->sources() as $source)
                        <div class="hstack gap-2 border-bottom py-2"><span>{{ $source['name'] }}<br><span
                            class="small text-body-secondary">{{ $source['says'] }}</span></span>
                            @can('create', App\Models\Lesson::class)
                                @if ($source['isNew'])<x-form :to="route('lessons.source', $source['id'])"
                                    class="ms-auto"><x-button small>Take {{ $source['proposed'] }}</x-button></x-form>
                                @endif
                            @endcan</div>
                    @endforeach
                </x-section>
            @endif
        </div>
    </div>
</x-layout>
