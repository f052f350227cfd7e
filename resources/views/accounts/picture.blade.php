@push('scripts')<script src="{{ App\View\Asset::url('js/picture.js') }}" type="module"></script>@endpush
<div class="row g-4 mt-0">
    <div class="col-lg-9">
        <canvas class="picture" id="picture" data-url="{{ route('accounts.picture', $page->ranking->parameters()) }}"
            role="img"
            aria-label="Ranked accounts, fit across, timing upwards, larger where better reached; the list has the same"
        ></canvas>
        <p class="small text-body-secondary mt-2" id="picture-of"></p>
    </div>
    <div class="col-lg-3">
        <p class="text-body-tertiary" id="chosen-count" aria-live="polite"></p>
        <ul class="list-unstyled" id="chosen"></ul>
    </div>
</div>
