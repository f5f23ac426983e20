{!! $name !!},

the password of your kitchen was changed just now, and every other device was signed out. If that was not you, ask for a new one
at once:

{!! $link !!}
