{{-- What a signal is of what speaks for an account. --}}
@props(['line'])
<div class="py-1">
    <div class="hstack gap-2 align-items-baseline">
        <span>{{ $line->signal->title }} <span class="small text-body-secondary"><x-ago
            :time="$line->signal->occurred_at" /></span></span>
        <span @class(['ms-auto fw-semibold text-nowrap', 'text-plum' => $line->share === null])>{{
            $line->share === null ? 'against' : App\Support\Format::percent($line->share) }}</span>
    </div>
    <x-progress :share="$line->share ?? -$line->push" :tone="$line->share === null ? 'plum' : 'primary'"
        class="bg-transparent mt-1" />
</div>
