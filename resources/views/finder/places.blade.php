@foreach ($places as $name => $about)<option value="{{ $name }}">{{ $about }}</option>@endforeach
