{{-- What an account seeks, told from its postings. --}}
@props(['sought'])
@unless ($sought->isEmpty())
    <x-section title="Whom they seek" :about="$sought->about()">
        @foreach ($sought->open() as $one)<x-accounts.opening :$one />@endforeach
        @if ($sought->closed() !== [])
            <x-more :says="$sought->saysClosed()" class="pt-2">
                @foreach ($sought->closed() as $one)<x-accounts.opening :$one />@endforeach</x-more>
        @endif
    </x-section>
@endunless
