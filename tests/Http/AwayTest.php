<?php

declare(strict_types=1);

use App\Database\Unable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

// What a cook and a device are told while the database can take nothing in: to keep what they have and come back.

/** The database answers every question with this, as its driver says it. */
function answersWith(int $code, string $words): void
{
    DB::connection()->beforeExecuting(function () use ($code, $words): never {
        $wrong = new PDOException("SQLSTATE[HY000]: General error: $code $words");
        $wrong->errorInfo = ['HY000', $code, $words];
        throw $wrong;
    });
}

dataset('asked', [
    'a list' => ['GET', '/api/roasts', []], 'a reading' => ['POST', '/api/roasts/{roast}/readings', [
        'id' => '5f0c3a1e-7c63-4d5e-9d5e-0b4f0b0a1c11', 'dish' => 0, 'place' => 'core', 'celsius' => 41, 'at' => '2031-10-04T18:00:00Z',
    ]], 'a cooker' => ['POST', '/api/cookers', ['name' => 'Kettle', 'cooker' => 'kettle']],
]);

// Source of the numbers: MariaDB Server Documentation, Error Codes; the words are the server's own.
it('says to come back where the database can take nothing in', function (int $code, string $words, string $method, string $path, array $body) {
    $roast = $this->roast();
    answersWith($code, $words);
    $answer = $this->json($method, str_replace('{roast}', $roast->id, $path), $body);
    expect($answer->status())->toBe(503)->and($answer->headers->get('Retry-After'))->toBe((string) Unable::RETRY_S)
        ->and($answer->json())->toBe(['message' => 'The kitchen can take nothing in just now. Keep what you have and try again in a moment.']);
})->with([
    'gone' => [2006, 'MySQL server has gone away'], 'refused' => [2002, 'Connection refused'],
    'disk full' => [1021, 'Disk full (/tmp/#sql); waiting for someone to free some space...'],
    'no room in the table' => [1114, "The table 'readings' is full"],
    'no room in the log' => [1026, "Error writing file 'log' (errno: 28 \"No space left on device\")"],
    'no room in the engine' => [1030, 'Got error 28 "No space left on device" from storage engine InnoDB'],
    'connections all taken' => [1040, 'Too many connections'],
    'read alone' => [1290, 'The MariaDB server is running with the --read-only option so it cannot execute this statement'],
    'a node alone' => [1047, 'WSREP has not yet prepared node for application use'],
])->with('asked');

it('calls a fault of ours a fault', function (int $code, string $words, string $method, string $path, array $body) {
    $roast = $this->roast();
    answersWith($code, $words);
    expect($this->json($method, str_replace('{roast}', $roast->id, $path), $body)->status())->toBe(500);
})->with([
    'a column that is not there' => [1054, "Unknown column 'mass' in 'field list'"],
    'a sentence that is none' => [1064, 'You have an error in your SQL syntax'],
])->with('asked');

it('says so from the first question, session and all, when there is no database at all', function () {
    $this->roast();
    config(['session.driver' => 'database', 'database.connections.mariadb.port' => 1]);
    DB::purge();
    $this->app['auth']->forgetGuards();
    $this->withUnencryptedCookie((string) config('session.cookie'), 'x')->getJson('/api/me')->assertStatus(503);
    $this->postJson('/api/login', ['email' => 'ada@weir.example', 'password' => 'ember and straw'])->assertStatus(503);
    $this->get('/roasts/x/live')->assertOk();
    config(['database.connections.mariadb.port' => getenv('DB_PORT')]);
    DB::purge();
});

// Source: full(4), a device that has no room left.
it('takes an entry though its log has no room for a line', function () {
    config(['logging.channels.daily.driver' => 'single', 'logging.channels.daily.path' => '/dev/full', 'logging.default' => 'kept']);
    app('log')->forgetChannel('daily');
    $roast = $this->roast();
    Log::error('a line that finds no room');
    $this->log($roast, 'on')->assertSuccessful();
    expect(fn () => Log::channel('daily')->error('and is refused by the file itself'))->toThrow(Exception::class);
});
