<?php

declare(strict_types=1);

// For PHP's own server: files of public/ as they are, everything else to the application.
$public = dirname(__DIR__, 2).'/public';
$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
// A NUL ends a path for the system and not for PHP: such an address is no file.
$file = str_contains($path, "\0") ? false : realpath($public.$path);
if ($file !== false && is_file($file) && str_starts_with($file, $public.'/') && ! str_ends_with($file, '.php')) {
    return false;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
require $public.'/index.php';
