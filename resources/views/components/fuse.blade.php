<div class="fuse">
    @if ($way)<span class="text-body-tertiary">{{ $way }}</span>@endif
    @if ($left !== null)<x-progress :share="$left" tone="danger" class="my-1" />@endif
    <span @class(['text-danger' => $soon]) @if ($day) title="{{ $day }}" @endif>{{ $words }}</span>
</div>
