{{-- Opens by itself where its form came back with messages. --}}
@props(['id', 'title', 'opens' => false, 'bare' => false])
<div class="modal" id="{{ $id }}" tabindex="-1" aria-labelledby="{{ $id }}-title" aria-hidden="true" x-data="modal"
    @if ($opens) data-opens @endif {{ $attributes }}>
    <div class="modal-dialog modal-dialog-scrollable">
        <div class="modal-content">
            <div @class(['modal-header', 'visually-hidden' => $bare])>
                <h2 class="modal-title" id="{{ $id }}-title">{{ $title }}</h2>
                <button class="btn-close" type="button" data-bs-dismiss="modal" aria-label="Close"></button>
            </div>
            <div class="modal-body pt-2">{{ $slot }}</div>
        </div>
    </div>
</div>
