Hello {!! $user->name !!},

{!! $when !!}: {!! $what !!}{!! $by === null ? '' : ', by '.$by !!}.

Was it you, or did you ask for it? Then nothing is to be done. Else tell your lead at once, and end what you
do not know under “Where I am signed in”: {{ route('pace.edit') }}
