<x-layout title="Typical phrases" at="finder">
    <x-back :to="$page->list ? route('lists.show', $page->list) : route('alike', ['e' => $page->tokens])">{{ $page->list
        ? $page->list->name : 'Alike' }}</x-back>
    <x-heading title="Typical phrases" :about="$page->about()" />
    @if ($page->problem)<p class="alert alert-primary mt-3">{{ $page->problem }}</p>@endif
    @if ($page->rows() === [])<x-empty>No phrase stands in two of them that is rare in the others. More accounts, or
        such as say more of themselves, would show some.</x-empty>
    @else
        <x-form :to="route('alike.search')" class="row g-4 mt-0">
            <div class="col-lg-8">
                <x-table :heads="['-Choose', 'Phrase', '#In', '#How typical']" :moves="false">
                    @foreach ($page->rows() as $row)
                        <tr><td><input class="form-check-input" type="checkbox" name="phrases[]"
                            value="{{ $row['phrase'] }}" id="phrase-{{ $loop->index }}"></td>
                            <td><label for="phrase-{{ $loop->index }}">{{ $row['phrase'] }}</label></td>
                            <td class="text-end">{{ $row['in'] }}</td><td class="text-end">{{ $row['z'] }}</td></tr>
                    @endforeach
                </x-table>
            </div>
            <div class="col-lg-4">
                <div class="card card-body vstack gap-3">
                    <p class="mb-0">Any of those ticked, as one search:</p>
                    <x-wrong :for="['phrases', 'phrases*', 'into']" />
                    <x-field label="Together with" name="with" maxlength="100" :value="old('with')" />
                    <x-field label="Without" name="without" maxlength="100" :value="old('without')" />
                    <div class="d-flex flex-wrap gap-2 align-items-center"><x-button kind="primary">Search for
                        them</x-button><x-button small name="among" value="candidates">Among candidates</x-button></div>
                    @can('create', App\Models\RuleSet::class)
                        <p class="mb-0">Or let them count in the rules:</p>
                        <input type="hidden" name="into" value="criterion">
                        <div class="d-flex flex-wrap gap-2"><x-button small
                            formaction="{{ route('phrases.rules', $offer) }}">In the target profile</x-button>
                            <x-button small name="into" value="interest"
                                formaction="{{ route('phrases.rules', $offer) }}">In openings they post</x-button></div>
                    @endcan
                    <p class="form-text mb-0">How typical: standard deviations above what accident makes; from 2 on it
                        is no accident.</p>
                </div>
            </div>
        </x-form>
    @endif
</x-layout>
