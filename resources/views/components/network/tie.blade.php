@props(['tie'])
<span class="tie" title="{{ $tie['because'] }}"><strong>{{ $tie['user']->name }}</strong> <span class="muted">{{ \App\View\Say::percent($tie['strength']) }}<span class="visually-hidden">, {{ $tie['because'] }}</span></span></span>
