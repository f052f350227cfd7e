<p class="text-body-tertiary">{{ $agrees }}</p>
@include('rules.moves', ['moves' => $moves, 'mistake' => null, 'met' => []])
