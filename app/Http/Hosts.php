<?php

declare(strict_types=1);

namespace App\Http;

/** The names that it answers to: that of its own address, what was set besides, and this machine itself. */
final class Hosts
{
    private const THIS_MACHINE = ['localhost', '127.0.0.1', '[::1]'];

    /** @return list<string> regular expressions */
    public static function asPatterns(): array
    {
        /** @var list<string> $more */
        $more = config('app.hosts');
        $own = parse_url((string) config('app.url'), PHP_URL_HOST);

        return array_map(
            fn (string $host): string => '^'.preg_quote($host, '/').'$',
            array_values(array_unique([...is_string($own) ? [$own] : [], ...$more, ...self::THIS_MACHINE])),
        );
    }
}
