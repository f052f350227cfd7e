{{-- What an offer looks out for outside: technologies and topics. --}}
@use('App\View\Rules\RoleRow')
<x-section title="Technologies: what they say to us"
    about="none named: each that appears or goes is told">
    <div class="row g-2 pt-2">
        <x-field width="col-md-6" label="Complete us: a signal where one appears" name="technologies[completes]"
            :value="$page->technologies('completes')" />
        <x-field width="col-md-6" label="Replaced by us: a signal where one goes" name="technologies[replaces]"
            :value="$page->technologies('replaces')" />
    </div>
    <p class="form-text">Parted by commas. All others say nothing. Known so far:
        {{ implode(', ', $page->knownTechnologies()) ?: 'none' }}.</p>
</x-section>
<x-section title="Topics: posts that are worth a look" x-data="repeat"
    about="none: each post of a feed">
    <div id="topics" x-ref="rows">@foreach ($page->topics() as $row)<x-rules.topic :$row />@endforeach</div>
    <template x-ref="one"><x-rules.topic :row="new RoleRow('topics', 'NEW')" /></template>
    <x-button class="mt-3" type="button" @click="add">Add a topic</x-button>
</x-section>
