{!! $name !!},

a new password was asked for. Choose one within the hour:

{!! $link !!}

If you did not ask, do nothing: the old one stays.
