<?php

declare(strict_types=1);

// The database is the application's alone: a password of its own, root by the socket, and nothing for other users to read.

function refusedAs(string $user, string $password): string
{
    try {
        new PDO(sprintf('mysql:host=127.0.0.1;port=%s', getenv('DB_PORT')), $user, $password, [PDO::ATTR_TIMEOUT => 3]);
    } catch (PDOException $wrong) {
        return $wrong->getMessage();
    }

    return '';
}

it('lets nobody in by the network without the password', function (string $user) {
    expect(refusedAs($user, ''))->toContain('Access denied')->and(refusedAs($user, 'diatherm'))->toContain('Access denied');
})->with(['root', 'diatherm', 'mysql', 'anyone']);

it('has a password of its own, made at the first start and readable by its owner alone', function () {
    $secret = dirname(__DIR__, 2).'/storage/test/mariadb.secret';
    expect(strlen((string) getenv('DB_PASSWORD')))->toBeGreaterThanOrEqual(48)
        ->and(fileperms($secret) & 0777)->toBe(0600)
        ->and(fileperms(dirname($secret).'/mariadb') & 0777)->toBe(0700)
        ->and(fileperms(dirname(__DIR__, 2).'/.env') & 0077)->toBe(0);
});

it('gives the application no way to the server’s files', function () {
    $rows = Illuminate\Support\Facades\DB::select('show grants');
    expect(json_encode($rows))->not->toContain('FILE')->not->toContain('ALL PRIVILEGES ON *.*')
        ->and(Illuminate\Support\Facades\DB::selectOne('select @@local_infile as on_')->on_)->toBe(0)
        ->and((string) Illuminate\Support\Facades\DB::selectOne('select @@secure_file_priv as folder')->folder)->not->toBe('');
});

it('shows another user of this machine neither data, nor secret, nor socket', function () {
    $folder = dirname(__DIR__, 2).'/storage/test';
    foreach (["cat $folder/mariadb.secret", "ls $folder/mariadb", 'cat '.dirname(__DIR__, 2).'/.env', 'mariadb --no-defaults -h127.0.0.1 -P'.getenv('DB_PORT').' -uroot -e "select 1"'] as $try) {
        exec('runuser -u nobody -- sh -c '.escapeshellarg($try).' 2>&1', $said, $status);
        expect($status)->not->toBe(0, $try);
    }
})->skip(fn (): bool => ! function_exists('posix_geteuid') || posix_geteuid() !== 0 || ! is_executable('/usr/sbin/runuser') && ! is_executable('/sbin/runuser'), 'It takes root to try it as somebody else.');
