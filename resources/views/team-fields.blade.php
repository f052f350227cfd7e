@props(['person'])
<label class="field"><span>Name</span><input name="name" required maxlength="100" value="{{ $person?->name }}"></label>
<label class="field"><span>E-mail address (empty: does not sign in)</span><input name="email" type="email" maxlength="190" value="{{ $person?->email }}"></label>
<label class="field"><span>Role</span><select name="role">@foreach ($roles as $role)<option value="{{ $role->value }}" @selected($person?->role === $role)>{{ $role->value }}</option>@endforeach</select></label>
<label class="field"><span>{{ $person?->password ? 'New password, if it changes' : 'Password' }}</span><input name="password" type="password" minlength="10" autocomplete="new-password"></label>
