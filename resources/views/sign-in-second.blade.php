<x-layout title="The second factor">
    <div class="row justify-content-center pt-5">
        <div class="col-md-5 vstack gap-3">
            <x-mark width="150" />
            <h1>And the code</h1>
            <p class="text-body-tertiary">The six digits that your program shows now, or one of the codes that you kept
                on paper.</p>
            <x-form :to="route('second.answer')" class="vstack gap-3 align-items-start">
                <x-field class="w-100" label="Code" name="code" autocomplete="one-time-code" inputmode="numeric"
                    maxlength="40" required autofocus />
                <x-button kind="primary">Sign in</x-button>
            </x-form>
            <p><a href="/sign-in">Begin again</a></p>
        </div>
    </div>
</x-layout>
