<p class="small soft">All of it holds of one and the same earlier post.</p>
<x-finder.input :name="$name('q')" label="Title, as a query" :value="$given['q'] ?? ''" mode="text" placeholder="maintenance OR planner" first />
<x-finder.input :name="$name('q2')" label="Company, as a query" :value="$given['q2'] ?? ''" mode="text" />
<div class="pair"><x-finder.input :name="$name('lo')" label="Ended, months ago, from" :value="$given['lo'] ?? ''" /><x-finder.input :name="$name('hi')" label="to" :value="$given['hi'] ?? ''" /></div>
