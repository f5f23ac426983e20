<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Support\HttpTest;

// A screen looks every few seconds, for hours: what finds nothing new writes nothing.

/** @return list<string> what was written to the database meanwhile */
function writtenBy(Closure $work): array
{
    $written = [];
    $listens = true;
    DB::listen(function ($query) use (&$written, &$listens): void {
        if ($listens && preg_match('/^(insert|update|delete|replace)\b/i', $query->sql) === 1) {
            $written[] = $query->sql;
        }
    });
    $work();
    $listens = false;

    return $written;
}

/** Signed in as a browser is, with a session in the database. @return Closure(string): void that looks at an address */
function signedIn(HttpTest $test): Closure
{
    config(['session.driver' => 'database', 'session.lottery' => [0, 1]]);
    app()->forgetInstance('session.store');
    $cook = ['name' => 'Ada', 'email' => 'ada@weir.example', 'password' => 'ember and straw', 'remember' => false];
    [$cookie] = $test->postJson('/api/register', $cook)->assertOk()->headers->getCookies();

    return function (string $path) use ($test, $cookie): void {
        app('auth')->forgetGuards();
        $test->withUnencryptedCookie($cookie->getName(), (string) $cookie->getValue())->getJson($path)->assertOk();
    };
}

it('writes nothing for a look at a screen, and once a minute that somebody is there', function (string $path) {
    $look = signedIn($this);
    $look($path);
    expect(writtenBy(fn () => $look($path)))->toBe([]);
    $this->travel(61)->seconds();
    expect(writtenBy(fn () => $look($path)))->toHaveCount(1)->and(writtenBy(fn () => $look($path)))->toBe([]);
})->with(['/api/me', '/api/roasts', '/api/cookers', '/api/reference', '/api/account']);
