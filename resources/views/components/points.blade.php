{{-- Points line by line; each opens into what made it. --}}
@props(['lines', 'total', 'remark'])
<div>
    @foreach ($lines as $line)
        @if ($line->says === null)
            <div class="hstack gap-2 border-bottom py-2"><span>{{ $line->label }}</span><span
                class="ms-auto">{{ $line->points }}</span></div>
        @else
            <details class="border-bottom point">
                <summary class="py-2">
                    <span @class(['d-inline-flex w-90 align-middle', 'text-plum' => $line->isAgainst])>
                        <span>{{ $line->label }} <span class="small text-body-secondary">{{ $line->note }}
                            @if ($line->at)<x-ago :time="$line->at" />@endif</span></span>
                        <span class="ms-auto ps-2 fw-semibold">{{ $line->points }}</span></span>
                </summary>
                <div class="pb-3 text-body-tertiary">
                    <p>{{ $line->says }}</p>
                    <dl class="mb-0 mt-2">
                        @foreach ($line->made as [$name, $note, $value])
                            <div class="hstack gap-2 align-items-baseline"><dt>{{ $name }} <span
                                class="small">{{ $note }}</span></dt>
                                <dd class="ms-auto mb-0">{{ $value }}</dd></div>
                        @endforeach
                    </dl>
                </div>
            </details>
        @endif
    @endforeach
    <div class="hstack py-2 fw-semibold"><span>Points</span><span class="ms-auto">{{ $total }}</span></div>
    <p class="small text-body-secondary">{{ $remark }}</p>
</div>
