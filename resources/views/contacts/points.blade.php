@use('App\View\Say')
@use('Luftig\Core\Priority\ContactPoints')
@php $role = $row->ranked->role; $sum = ContactPoints::of($role->value, $row->ranked->push, $row->ranked->access); @endphp
<div class="points">
    <div class="point"><div class="flat"><span>Everybody starts at</span><span>{{ Say::points(ContactPoints::START) }}</span></div></div>
    <details class="point"><summary><span>Part in buying: {{ $role->buyerRole->name }}</span><span class="strong">{{ Say::points($sum->role) }}</span></summary>
        <div class="made"><p>{{ (int) ContactPoints::ROLE }} × Role {{ Say::part($role->value) }}, the product of:</p>
            <dl class="above"><dt>weight of {{ $role->buyerRole->name }}</dt><dd>{{ Say::part($role->buyerRole->weight) }}</dd>
                <dt>function match <span class="small">{{ $role->match >= 1 ? 'in the role' : ($role->match >= .5 ? 'general management' : ($role->match >= .4 ? 'a neighbouring function' : 'another function')) }}</span></dt><dd>{{ Say::part($role->match) }}</dd>
                <dt>√(authority {{ Say::part($role->authority) }} × accessibility {{ Say::part($role->accessibility) }}) <span class="small">{{ $role->title->seniority->label() }}, {{ $account->headcount === null ? 'headcount unknown' : number_format($account->headcount).' heads' }}</span></dt><dd>{{ Say::part(sqrt($role->authority * $role->accessibility)) }}</dd></dl></div></details>
    <details class="point"><summary><span>What happened there</span><span @class(['strong', 'plum' => $sum->push < 0])>{{ Say::points($sum->push) }}</span></summary>
        <div class="made"><p>{{ (int) ContactPoints::ROLE }} × Role {{ Say::part($role->value) }} × push {{ Say::part($row->ranked->push) }}. Their own signals, and those that concern their function, count in full; the account’s others half.</p>
            <dl class="above">@foreach ($all as $line) @php $full = $group->inFull($line->signal->id, $contact); @endphp
                <dt>{{ $line->signal->title }} <span class="small">{{ $full ?? 'half' }}</span></dt><dd>{{ Say::part($line->push * ($full ? 1 : .5)) }}</dd>@endforeach</dl></div></details>
    <details class="point"><summary><span>{{ $row->ranked->access > 0 ? 'Can be reached' : 'No way to reach them' }}</span><span class="strong">{{ Say::points($sum->access) }}</span></summary>
        <div class="made"><p>{{ (int) ContactPoints::ACCESS }} × Access {{ Say::part($row->ranked->access) }}</p></div></details>
    <div class="total"><span>Points</span><span>{{ Say::points($sum->total()) }}</span></div>
    <p class="muted small">Priority {{ number_format($row->ranked->priority, 1) }} = 100 ÷ (1 + e^(−points ÷ 10)).</p>
</div>
