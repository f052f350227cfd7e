@use('Luftig\Core\Finder\Field')
<p class="small soft">All of it holds of one and the same signal.</p>
<x-finder.choices :name="$name('v')" label="Kind" :choices="$options->of(Field::Signal)" :chosen="$step?->values() ?? []" />
<x-finder.choices :name="$name('st')" label="State" :choices="['announced' => 'announced', 'rising' => 'rising', 'fresh' => 'fresh', 'fading' => 'fading', 'spent' => 'spent']" :chosen="$step?->values('st') ?? []" />
<div class="step-grid">
    <div class="pair"><x-finder.input :name="$name('lo')" label="Days ago, from" :value="$given['lo'] ?? ''" first /><x-finder.input :name="$name('hi')" label="to" :value="$given['hi'] ?? ''" /></div>
    <x-query lines :name="$name('q')" label="Words in it, as a query, or phrases, one a line" :value="App\Finder\Pasted::text($given['q'] ?? '')" placeholder='planner OR "energy manager"' />
    <div class="pair"><x-finder.input :name="$name('slo')" label="Strength 0–1, from" :value="$given['slo'] ?? ''" /><x-finder.input :name="$name('shi')" label="to" :value="$given['shi'] ?? ''" /></div>
    <div class="pair"><x-finder.input :name="$name('n')" label="At least so many" :value="$given['n'] ?? ''" placeholder="1" /><x-finder.input :name="$name('rd')" label="Funding rounds" :value="$given['rd'] ?? ''" mode="text" placeholder="a, b" /></div>
    <div class="pair"><x-finder.input :name="$name('alo')" label="Amount, from" :value="$given['alo'] ?? ''" /><x-finder.input :name="$name('ahi')" label="to" :value="$given['ahi'] ?? ''" /></div>
    <x-finder.currency :name="$name('cur')" :value="$given['cur'] ?? 'EUR'" />
</div>
