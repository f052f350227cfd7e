<x-layout title="First steps" at="begin">
    <x-heading title="First steps" about="from nothing to ten good reasons; each step can be left and come back to" />
    <div class="row g-4 mt-0">
        <nav class="col-lg-3" aria-label="Steps">
            <ol class="list-unstyled nav nav-pills flex-column gap-1">
                @foreach ($page->steps() as $one)
                    <li><a @class(['nav-link hstack gap-2 px-3', 'active' => $one['isOpen']]) href="{{ $one['url'] }}"
                        @if ($one['isOpen']) aria-current="step" @endif>
                        <span class="font-figure">{{ $one['number'] }}</span> {{ $one['title'] }}
                        @if ($one['isDone'])<span class="ms-auto small">done</span>@endif</a></li>
                @endforeach
            </ol>
        </nav>
        <div class="col-lg-9" id="step">@include('begin.step-'.$page->step)</div>
    </div>
</x-layout>
