@use('App\View\Intake\DoubtfulPair')
@use('App\View\Intake\IntakesPage')
<x-form :to="route('doubles.update', $pair->double)" method="patch" class="border-top py-2"
    data-pair="{{ $pair->double->id }}">
    @foreach ([$pair->first, $pair->second] as $record)
        <p><a href="{{ DoubtfulPair::url($record) }}"><strong>{{ IntakesPage::name($record) }}</strong></a><br>
            <span class="small text-body-secondary breaks">{{ DoubtfulPair::line($record) }}</span></p>
    @endforeach
    <p class="small text-body-tertiary py-1">{{ implode(' ', $pair->double->because) }}</p>
    <div class="hstack gap-2">
        <x-button small name="decision" value="same" aria-label="{{ IntakesPage::name($pair->first) }}: the same">The
            same</x-button>
        <x-button small name="decision" value="separate"
            aria-label="{{ IntakesPage::name($pair->first) }}: two">Two</x-button></div>
</x-form>
