<x-section title="Why it ranks where it ranks">
    @if ($page->points)<x-points :lines="$page->points->lines()" :total="$page->points->total()"
        :remark="$page->points->remark()" />
    @else<x-empty>Not computed yet; that takes a few seconds.</x-empty>@endif
</x-section>
<x-section title="What they run"><p class="mt-2">{{ $page->technologies() }}</p></x-section>
<x-section title="Notes">
    @foreach ($page->account->notes as $note)
        <div class="border-bottom py-2"><p class="lines breaks">{{ $note->text }}</p>
            <div class="hstack gap-2 small text-body-secondary"><span>{{ $note->user->name }}, <x-ago
                :time="$note->created_at" /></span>
                @can('delete', $note)<x-form :to="route('notes.destroy', $note)" method="delete"><x-button small
                    kind="link">Remove</x-button></x-form>@endcan
            </div></div>
    @endforeach
    <x-form :to="route('notes.store', $page->account)" class="vstack gap-2 align-items-start mt-2">
        <x-field hidden class="w-100" label="Note" name="text" lines="2" aria-keyshortcuts="n"
            placeholder="A note for the team" required
            maxlength="5000" :value="old('text')" />
        <x-button small>Keep the note</x-button>
    </x-form>
</x-section>
@if ($page->facts() !== [])
    <x-more says="What is known of it, and from where"><x-facts :facts="$page->facts()" class="mt-2" /></x-more>
@endif
@if ($page->approaches() !== [])
    <x-section title="Approaches">
        @foreach ($page->approaches() as $approach)
            <p class="small border-bottom py-2"><x-ago :time="$approach['at']" />: {{ $approach['says'] }} ·
                <strong>{{ $approach['result'] }}</strong></p>
        @endforeach
    </x-section>
@endif
