<p {{ $attributes->class('text-body-tertiary py-4 measure') }}>{{ $slot }}</p>
