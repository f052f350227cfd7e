@props(['tags', 'subject', 'record'])
<div class="d-flex flex-wrap gap-2 align-items-center pt-2" aria-label="Tags" data-tags>
    @foreach ($tags as $tag)
        <x-form :to="route('tags.destroy', $tag)" method="delete" class="badge bg-body-secondary hstack gap-1">
            <input type="hidden" name="subject" value="{{ $subject }}"><input type="hidden" name="record"
                value="{{ $record }}">
            <a href="{{ route('finder', ['on' => $subject, 'c' => [['f' => 'tag',
                'v' => $tag->id]]]) }}">{{ $tag->name }}</a>
            <button class="btn-close" aria-label="Remove the tag {{ $tag->name }}"></button>
        </x-form>
    @endforeach
    <x-more :says="$tags->isEmpty() ? 'Add a tag' : 'Add'" class="small">
        <x-form :to="route('tags.store')" class="hstack gap-2 pt-1">
            <input type="hidden" name="subject" value="{{ $subject }}"><input type="hidden" name="only[]"
                value="{{ $record }}">
            <x-field hidden small label="Tag" name="tag" required maxlength="60" />
            <x-button small>Add</x-button>
        </x-form>
    </x-more>
</div>
