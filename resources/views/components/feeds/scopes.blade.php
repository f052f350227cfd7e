{{-- What a token is for. --}}
<fieldset>
    <legend class="form-label fs-6">What it may post</legend>
    @foreach (['signals' => 'signals', 'facts' => 'facts of accounts'] as $scope => $says)
        <label class="d-block"><input class="form-check-input me-2" type="checkbox" name="scopes[]" value="{{ $scope }}"
            @checked(in_array($scope, (array) old('scopes', ['signals']), true))>{{ $says }}</label>
    @endforeach
    <x-wrong for="scopes" />
</fieldset>
