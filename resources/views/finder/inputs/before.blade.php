<p class="small soft">All of it holds of one and the same earlier post.</p>
<x-query lines :name="$name('q')" label="Title, as a query, or phrases, one a line" :value="App\Finder\Pasted::text($given['q'] ?? '')" placeholder="maintenance OR planner" first />
<x-query lines :name="$name('q2')" label="Company, as a query, or phrases, one a line" :value="App\Finder\Pasted::text($given['q2'] ?? '')" />
<div class="pair"><x-finder.input :name="$name('lo')" label="Ended, months ago, from" :value="$given['lo'] ?? ''" /><x-finder.input :name="$name('hi')" label="to" :value="$given['hi'] ?? ''" /></div>
