{{-- What a token is for. --}}
@props(['legend', 'scopes', 'ticked'])
<fieldset>
    <legend class="form-label fs-6">{{ $legend }}</legend>
    @foreach ($scopes as $scope => $says)
        <label class="d-block"><input class="form-check-input me-2" type="checkbox" name="scopes[]" value="{{ $scope }}"
            @checked(in_array($scope, (array) old('scopes', $ticked), true))>{{ $says }}</label>
    @endforeach
    <x-wrong for="scopes" />
</fieldset>
