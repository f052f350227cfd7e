@props(['tags', 'subject', 'record'])
<div class="tags" aria-label="Tags">
    @foreach ($tags as $tag)
        <form method="post" action="{{ route('tags.destroy', $tag) }}">@csrf @method('DELETE')<input type="hidden" name="subject" value="{{ $subject }}"><input type="hidden" name="record" value="{{ $record }}"><a href="{{ route('finder', ['on' => $subject, 'c' => [['f' => 'tag', 'v' => $tag->id]]]) }}">{{ $tag->name }}</a> <button class="slight" aria-label="Take off {{ $tag->name }}">×</button></form>
    @endforeach
    <details><summary class="pine small">{{ $tags->isEmpty() ? 'Add a tag' : 'Add' }}</summary>
        <form method="post" action="{{ route('tags.store') }}">@csrf<input type="hidden" name="subject" value="{{ $subject }}"><input type="hidden" name="only[]" value="{{ $record }}"><label class="visually-hidden" for="tag-{{ $record }}">Tag</label><input id="tag-{{ $record }}" name="tag" required maxlength="60"> <button class="button small">Add</button></form></details>
</div>
