<x-button small type="submit" :formaction="route('press.trial')" formnovalidate hx-post="{{ route('press.trial') }}"
    hx-target="#press-trial" hx-include="closest form" hx-params="query,_token">Try it</x-button>
