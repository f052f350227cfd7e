<x-layout :title="$page->intake->name" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <h1 class="breaks">{{ $page->intake->name }}</h1>
    <p class="text-body-tertiary py-2">{{ $page->about() }}</p>
    <x-wrong for="file" />
    @if ($page->same())<p class="alert alert-danger">{{ $page->same() }}</p>@endif
    @if ($page->sheets() !== [])
        <x-form :to="route('intake.update', $page->intake)" method="patch"
            class="d-flex flex-wrap gap-3 align-items-center mb-2">
            <input type="hidden" name="kind" value="{{ $page->intake->kind->value }}">
            <span class="fw-semibold">Sheet</span>
            @foreach ($page->sheets() as $sheet => $chosen)
                <x-tick type="radio" name="sheet" :value="$sheet" x-data="sends" @change="send" :checked="$chosen"
                    :label="(string) $sheet" />
            @endforeach
            <noscript><x-button>Look at it</x-button></noscript>
        </x-form>
        <x-wrong for="sheet" />
    @endif
    <x-form :to="route('intake.update', $page->intake)" method="patch"
        class="d-flex flex-wrap gap-3 align-items-center">
        <span class="fw-semibold">Each row is</span>
        @foreach ($page->kinds() as $kind => $label)
            <x-tick type="radio" name="kind" :value="$kind" x-data="sends" @change="send"
                :checked="$kind === $page->intake->kind->value" :$label />
        @endforeach
        <noscript><x-button>Choose</x-button></noscript>
    </x-form>
    <x-form :to="route('intake.start', $page->intake)" id="mapping" class="mt-3">
        <input type="hidden" name="kind" value="{{ $page->intake->kind->value }}">
        <x-section title="Columns">
            @if ($page->problem)<p class="text-danger mt-2" role="alert" id="problem">{{ $page->problem }}</p>@endif
            <x-wrong :for="['mapping', 'kind']" />
            <div class="row g-3 mt-0">
                @foreach ($page->columns() as $column)
                    <x-field width="col-6 col-md-4 col-lg-3" :label="$column['label']" :name="$column['name']"
                        :options="$page->fields()"
                        :value="$column['chosen']" :hint="$column['hint']" />
                @endforeach
                <x-field width="col-6 col-md-4 col-lg-3" label="Source of the file, if it names none" name="source"
                    maxlength="80"
                    :value="$page->intake->source" placeholder="trade fair list" />
                @if ($page->whose())
                    <x-field width="col-6 col-md-4 col-lg-3" label="Whose address book, where no column says it"
                        name="whose"
                        :options="$page->whose()" :value="$page->owner()" />
                @endif
            </div>
        </x-section>
        @include('intake.questions')
        <div class="d-flex flex-wrap gap-2 mt-3">
            <x-button kind="primary">Bring it in</x-button>
            <x-button formaction="{{ route('intake.update', $page->intake) }}" name="_method" value="PATCH">Show what
                would become of it</x-button>
            <x-button kind="danger" form="aside">Put it aside</x-button>
        </div>
    </x-form>
    <x-form :to="route('intake.destroy', $page->intake)" method="delete" id="aside" />
    <x-section title="What becomes of its rows" class="mt-4">
        <x-intake.outlook :outlook="$page->outlook" />
        @foreach ($page->rows() as $row)
            <div class="d-flex gap-3 border-bottom py-2">
                <span class="text-body-secondary text-nowrap">line {{ $row['line'] }}</span>
                @if ($row['problem'])<span class="text-danger breaks">{{ $row['problem'] }}</span>
                @else<span class="breaks">@foreach ($row['becomes'] as $name => $text)<span
                    class="small text-body-secondary">{{ lcfirst($name) }}</span>
                    {{ $text }}@unless ($loop->last) · @endunless @endforeach
                    @if ($row['unread'])<span class="d-block text-danger">{{ $row['unread'] }}</span>@endif</span>@endif
            </div>
        @endforeach
    </x-section>
</x-layout>
