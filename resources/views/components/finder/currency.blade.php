@props(['name', 'value'])
<label class="field"><span>Currency, at the rates of {{ \Illuminate\Support\Carbon::parse(config('luftig.rates.day'))->isoFormat('D MMM YYYY') }}</span><select name="{{ $name }}">@foreach (config('luftig.rates.per_eur') as $currency => $rate)<option @selected($currency === $value)>{{ $currency }}</option>@endforeach</select></label>
