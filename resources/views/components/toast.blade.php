{{-- What happened, with undo where there is one; it stays until it is closed or the page is left. --}}
@props(['said', 'undo' => null])
<div class="toast-container position-fixed bottom-0 start-0 p-3" role="status">
    @if ($said)
        <div class="toast show" data-bs-autohide="false">
            <div class="toast-body hstack gap-3">
                <span class="breaks">{{ $said }}</span>
                @if ($undo)
                    <x-form :to="$undo['to']" :method="$undo['method']" class="ms-auto">
                        @foreach ($undo['fields'] as $name => $value)<input type="hidden" name="{{ $name }}"
                            value="{{ $value }}">@endforeach
                        <button class="btn btn-sm btn-plain text-reset">Undo</button>
                    </x-form>
                @endif
                <button @class(['btn-close btn-close-white flex-shrink-0', 'ms-auto' => ! $undo]) type="button"
                    data-bs-dismiss="toast" aria-label="Close"></button>
            </div>
        </div>
    @endif
</div>
