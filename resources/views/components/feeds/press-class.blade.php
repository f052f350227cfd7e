@props(['kinds', 'class' => null])
@if ($class)<input type="hidden" name="class" value="{{ $class->id }}">@endif
<x-field label="Name" name="name" required maxlength="60" :value="old('name', $class?->name)" />
<x-field label="What it means" name="kind" :options="$kinds" :value="old('kind', $class?->kind->value)" />
<x-field label="By which words it is told (a text query)" name="query" lines="5" required maxlength="5000"
    :value="old('query', $class?->query)" />
