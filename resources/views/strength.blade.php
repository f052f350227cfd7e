@if ($strength !== null)
    <x-progress :share="$strength->share()" :tone="$strength->isEnough() ? 'success' : 'danger'"
        label="How hard it is to guess" />
    <p class="form-text mb-0">{{ ucfirst($strength->says()) }}</p>
@endif
