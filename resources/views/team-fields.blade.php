<x-field width="col-md-6" label="Name" name="name" required maxlength="100" :value="$person?->name" />
<x-field width="col-md-6" label="E-mail address (empty: does not sign in)" name="email" type="email" maxlength="190"
    :value="$person?->email" />
<x-field width="col-md-6" label="Role" name="role" :options="App\View\Choices::among($roles)"
    :value="$person?->role->value" />
<x-field width="col-md-6" :label="$person?->password ? 'New password, if it changes' : 'Password'" name="password"
    type="password" minlength="12" autocomplete="new-password"
    hint="For somebody else it lets in for a week; until then they choose their own." />
