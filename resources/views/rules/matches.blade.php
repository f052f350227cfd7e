@if ($mistake)<p class="wrong" role="alert">{{ $mistake }}</p>
@else
    <div class="matches" data-matches>
        <div><h4 class="small">{{ App\View\Say::count($matches->found, 'contact') }} in this role</h4>@foreach ($matches->matches as [$title, $n])<p class="small">{{ $title }} <span class="muted">{{ number_format($n) }}</span></p>@endforeach</div>
        <div><h4 class="small">Just miss it</h4>@forelse ($matches->misses as [$title, $n, $why])<p class="small">{{ $title }} <span class="muted">{{ number_format($n) }}, {{ $why }}</span></p>@empty<p class="small muted">nobody</p>@endforelse</div>
        <div><h4 class="small">Perhaps missing here</h4>@forelse ($matches->suggestions as [$title, $n])<p class="small">{{ $title }} <span class="muted">{{ number_format($n) }}</span></p>@empty<p class="small muted">all titles are read</p>@endforelse</div>
    </div>
    @if ($matches->partly)<p class="small muted">Looked at the 200,000 newest contacts.</p>@endif
@endif
