{!! $name !!},

a kitchen was opened with this address. If that was you, say so within three days:

{!! $link !!}

If it was not, do nothing.
