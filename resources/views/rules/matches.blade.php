@if ($mistake)<p class="text-danger" role="alert">{{ $mistake }}</p>
@else
    <div class="row g-3 small py-2" data-matches>
        <div class="col-md-4">
            <h4 class="fs-6">{{ App\Support\Format::count($matches->found, 'contact') }} in this role</h4>
            @foreach ($matches->matches as [$title, $n])<p>{{ $title }} <span
                class="text-body-secondary">{{ $n }}</span></p>@endforeach</div>
        <div class="col-md-4"><h4 class="fs-6">Just miss it</h4>
            @forelse ($matches->misses as [$title, $n, $why])<p>{{ $title }} <span class="text-body-secondary">{{ $n }},
                {{ $why }}</span></p>
            @empty<p class="text-body-secondary">nobody</p>@endforelse</div>
        <div class="col-md-4"><h4 class="fs-6">Perhaps missing here</h4>
            @forelse ($matches->suggestions as [$title, $n])<p>{{ $title }} <span
                class="text-body-secondary">{{ $n }}</span></p>
            @empty<p class="text-body-secondary">all titles are read</p>@endforelse</div>
    </div>
    @if ($matches->partly)<p class="small text-body-secondary">Looked at the 200,000 newest contacts.</p>@endif
@endif
