<?php

declare(strict_types=1);

// For PHP's own server: files of public/ as they are, those that the build made compressed and kept for good, for they are named by
// what is in them; everything else to the application.
const KINDS = [
    'js' => 'text/javascript', 'css' => 'text/css', 'json' => 'application/json', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2',
    'png' => 'image/png', 'webmanifest' => 'application/manifest+json',
];

const WORTH_COMPRESSING_BYTES = 1_000;

function takesGzip(): bool
{
    return str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip');
}

$public = dirname(__DIR__, 2).'/public';
$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
// A NUL ends a path for the system and not for PHP: such an address is no file.
$file = str_contains($path, "\0") ? false : realpath($public.$path);
if ($file !== false && is_file($file) && str_starts_with($file, $public.'/') && ! str_ends_with($file, '.php')) {
    header('Content-Type: '.(KINDS[pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header('Cache-Control: '.(str_starts_with($file, "$public/build/assets/") ? 'public, max-age=31536000, immutable' : 'no-cache'));
    header('Vary: Accept-Encoding');
    header('X-Content-Type-Options: nosniff');
    header('Cross-Origin-Resource-Policy: same-origin');
    $small = is_file("$file.gz") && takesGzip();
    if ($small) {
        header('Content-Encoding: gzip');
    }
    readfile($small ? "$file.gz" : $file);

    return true;
}
// PHP's own compression sends some bytes also where there is nothing to send, and 204 and 304 have no content (RFC 9110, 15.3.5 and 15.4.5).
ob_start(function (string $answer): string {
    if (strlen($answer) < WORTH_COMPRESSING_BYTES || ! takesGzip() || in_array(http_response_code(), [204, 304], true)) {
        return $answer;
    }
    header('Content-Encoding: gzip');
    header('Vary: Accept-Encoding', false);
    header_remove('Content-Length');

    return (string) gzencode($answer);
});
$_SERVER['SCRIPT_NAME'] = '/index.php';
require $public.'/index.php';
