<x-layout title="My pace" at="">
    <h1>My pace</h1>
    <form method="post" action="{{ route('pace.update') }}" class="stack narrow gap">@csrf @method('PATCH')
        <p class="soft">How many good approaches you make on a day. Today plans so many, and no more.</p>
        <label class="field" style="width: 160px"><span>Approaches a day</span><input type="number" name="pace" min="1" max="100" required value="{{ old('pace', auth()->user()->pace) }}"></label>
        <x-wrong for="pace" />
        <div><button class="button primary">Keep</button></div>
    </form>
</x-layout>
