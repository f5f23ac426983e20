<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Symfony\Component\Mime\Email;
use Tests\Support\Contract;

// Source of the rules on passwords and sessions: OWASP ASVS 4.0.3, chapters 2 and 3.

beforeEach(fn () => config(['mail.default' => 'array', 'session.driver' => 'database']));

/** @return list<string> what was written, the newest last */
function letters(): array
{
    return array_values(array_map(function ($sent): string {
        $message = $sent->getOriginalMessage();
        assert($message instanceof Email);

        return (string) $message->getTextBody();
    }, Mail::mailer('array')->getSymfonyTransport()->messages()->all()));
}

function linkIn(string $letter): string
{
    preg_match('~http\S+~', $letter, $found);

    return $found[0] ?? '';
}

function register(string $email, string $password = 'ember and straw'): array
{
    return ['name' => 'Ada', 'email' => $email, 'password' => $password];
}

it('takes passwords of 10 to 72 bytes, none that is tried first, and any symbols', function (string $password, bool $taken) {
    $answer = $this->postJson('/api/register', register('ada@weir.example', $password));
    $taken ? $answer->assertOk() : $answer->assertJsonValidationErrors('password');
})->with([
    '9 bytes' => ['embers_73', false], '10 bytes' => ['embers_73.', true],
    '72 bytes' => [str_repeat('ab 4.z', 12), true], '73 bytes' => [str_repeat('ab 4.z', 12).'!', false],
    'three fires are twelve bytes' => ['🔥🪵🍖', true], 'nineteen fires are 76' => [str_repeat('🔥🪵🍖', 6).'🔥', false],
    'common' => ['qwertyuiop', false], 'common in capitals' => ['Password123!', false],
    'one letter' => [str_repeat('a', 20), false], 'a NUL' => ["ember and\0straw", false],
]);

it('says nothing that tells a known address from an unknown one', function () {
    $known = $this->cook();
    $asks = [
        '/api/login' => ['password' => 'not the password'],
        '/api/forgotten' => [],
        '/api/reset' => ['token' => 'x', 'password' => 'ember and straw'],
    ];
    foreach ($asks as $path => $more) {
        $of = fn (string $email) => $this->postJson($path, ['email' => $email] + $more);
        $first = $of($known->email);
        $second = $of('nobody@weir.example');
        expect($second->status())->toBe($first->status(), $path)->and($second->content())->toBe($first->content());
    }
});

it('does the same work for an unknown address as for a known one', function () {
    $known = $this->cook();
    $counting = new class(['rounds' => 4]) extends Illuminate\Hashing\BcryptHasher
    {
        public int $checked = 0;

        public function check(#[SensitiveParameter] $value, $hashedValue, array $options = []): bool
        {
            $this->checked++;

            return parent::check($value, $hashedValue, $options);
        }
    };
    Hash::swap($counting);
    foreach ([$known->email => 1, 'nobody@weir.example' => 2] as $email => $checks) {
        $this->postJson('/api/login', ['email' => $email, 'password' => 'not the password'])->assertUnprocessable();
        expect($counting->checked)->toBe($checks);
    }
});

it('slows down guessing at one kitchen from many addresses', function () {
    $cook = $this->cook();
    for ($i = 0; $i < 10; $i++) {
        $this->withServerVariables(['REMOTE_ADDR' => "10.0.0.$i"])->postJson(
            '/api/login', ['email' => $cook->email, 'password' => "guess $i"],
        )->assertUnprocessable();
    }
    $this->withServerVariables(['REMOTE_ADDR' => '10.0.1.1'])->postJson(
        '/api/login', ['email' => strtoupper($cook->email), 'password' => 'guess'],
    )->assertTooManyRequests();
    $this->withServerVariables(['REMOTE_ADDR' => '10.0.1.2'])->postJson(
        '/api/login', ['email' => $this->cook()->email, 'password' => 'guess'],
    )->assertUnprocessable();
});

it('gives a new password for what a letter brought, once, and signs out everywhere', function () {
    $cook = $this->cook();
    DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $cook->id, 'payload' => '', 'last_activity' => time()]);
    $this->postJson('/api/forgotten', ['email' => $cook->email])->assertNoContent();
    parse_str((string) parse_url(linkIn(letters()[0]), PHP_URL_FRAGMENT), $brought);
    expect($brought['email'])->toBe($cook->email);
    $new = ['password' => 'straw and ember'] + $brought;
    $this->postJson('/api/reset', ['token' => 'another'] + $new)->assertJsonValidationErrors('token');
    $this->postJson('/api/reset', ['password' => 'short'] + $new)->assertJsonValidationErrors('password');
    $this->postJson('/api/reset', $new)->assertNoContent();
    $this->postJson('/api/reset', $new)->assertJsonValidationErrors('token');
    expect(DB::table('sessions')->where('user_id', $cook->id)->count())->toBe(0)->and(letters()[1])->toContain('was changed');
    $this->postJson('/api/login', ['email' => $cook->email, 'password' => 'straw and ember'])->assertOk();
});

it('lets the link of a letter lapse after an hour', function () {
    $cook = $this->cook();
    $this->postJson('/api/forgotten', ['email' => $cook->email]);
    parse_str((string) parse_url(linkIn(letters()[0]), PHP_URL_FRAGMENT), $brought);
    $this->travel(61)->minutes();
    $this->postJson('/api/reset', ['password' => 'straw and ember'] + $brought)->assertJsonValidationErrors('token');
});

it('confirms an address by the letter to it, and by nothing else', function () {
    $this->postJson('/api/register', register('ada@weir.example'))->assertOk();
    $this->getJson('/api/account')->assertJsonPath('confirmed', false)->assertJsonPath('email', 'ada@weir.example');
    $link = linkIn(letters()[0]);
    $this->get(str_replace('signature=', 'signature=0', $link))->assertForbidden();
    $this->get($link)->assertRedirect('/account');
    $this->actingAs(User::where('email', 'ada@weir.example')->firstOrFail());
    expect(Contract::breaches((string) $this->getJson('/api/account')->assertJsonPath('confirmed', true)->content(), 'Account'))->toBe([]);
});

it('changes the password for who knows it, and leaves them signed in here alone', function () {
    $this->postJson('/api/register', register('ada@weir.example'))->assertOk();
    $cook = User::where('email', 'ada@weir.example')->firstOrFail();
    // A letter was asked for before.
    $this->postJson('/api/forgotten', ['email' => 'ada@weir.example'])->assertNoContent();
    $brought = linkIn(collect(letters())->last());
    DB::table('sessions')->insert(
        [
            'id' => 'elsewhere', 'user_id' => $cook->id, 'payload' => '', 'last_activity' => time(), 'user_agent' => 'Mozilla/5.0 (Linux; Android 14)',
        ],
    );
    $this->putJson('/api/account/password', ['current' => 'wrong', 'password' => 'straw and ember'])->assertJsonValidationErrors('current');
    $this->putJson(
        '/api/account/password', ['current' => 'ember and straw', 'password' => '1234567890'],
    )->assertJsonValidationErrors('password');
    $this->putJson('/api/account/password', ['current' => 'ember and straw', 'password' => 'straw and ember'])->assertOk();
    expect(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeFalse()
        ->and(DB::table('password_reset_tokens')->count())->toBe(0);
    parse_str((string) parse_url(str_replace('#', '?', $brought), PHP_URL_QUERY), $letter);
    $this->postJson('/api/reset', ['password' => 'chaff and ash'] + $letter)->assertJsonValidationErrors('token');
});

it('shows where a cook is signed in, and ends one or all of them, but no one else’s', function () {
    $cook = $this->cook();
    $other = $this->cook();
    $row = fn (string $id, User $of): array => [
        'id' => $id, 'user_id' => $of->id, 'payload' => '', 'last_activity' => time(), 'user_agent' => 'Mozilla/5.0 (iPhone)',
    ];
    DB::table('sessions')->insert([$row('one', $cook), $row('two', $cook), $row('other', $other)]);
    $this->actingAs($cook);
    $places = $this->getJson('/api/account')->assertOk()->json('signed_in');
    expect(array_column($places, 'system'))->toContain('iPhone')->and(json_encode($places))->not->toContain('"one"');
    $this->deleteJson('/api/account/sessions/'.substr(hash('sha256', 'other'), 0, 24))->assertOk();
    $this->deleteJson('/api/account/sessions/'.substr(hash('sha256', 'one'), 0, 24))->assertOk();
    expect(DB::table('sessions')->pluck('id')->intersect(['one', 'two', 'other'])->sort()->values()->all())->toBe(['other', 'two']);
    $this->deleteJson('/api/account/sessions')->assertOk();
    expect(DB::table('sessions')->pluck('id')->all())->toContain('other')->not->toContain('two');
});

it('forgets a kitchen whole, for who knows its password', function () {
    $this->postJson('/api/register', register('ada@weir.example'))->assertOk();
    $cook = User::where('email', 'ada@weir.example')->firstOrFail();
    $this->postJson('/api/roasts', Tests\Support\Samples::file([], ['serve_at' => now()->addHours(4)->toAtomString()]))->assertCreated();
    $token = $this->postJson('/api/devices', ['name' => 'Four probes'])->json('token');
    $this->deleteJson('/api/account', ['password' => 'wrong'])->assertJsonValidationErrors('password');
    $this->deleteJson('/api/account', ['password' => 'ember and straw'])->assertNoContent();
    $this->assertGuest();
    foreach (['users', 'roasts', 'devices', 'personal_access_tokens', 'sessions'] as $table) {
        expect(DB::table($table)->count())->toBe(0, $table);
    }
    $this->withToken($token)->getJson('/api/device')->assertUnauthorized();
});

it('has no password to change in a demo kitchen', function () {
    config(['app.demo' => true]);
    $this->postJson('/api/demo')->assertOk();
    $this->putJson('/api/account/password', ['current' => 'x', 'password' => 'straw and ember'])->assertForbidden();
    $this->deleteJson('/api/account', ['password' => 'x'])->assertForbidden();
    $this->getJson('/api/account')->assertJsonPath('email', null);
});

it('says so where somebody else was quicker to register an address', function () {
    $isFirst = true;
    User::creating(function (User $cook) use (&$isFirst): void {
        if ($isFirst) {
            $isFirst = false;
            User::factory()->create(['email' => $cook->email]);
        }
    });
    $this->postJson('/api/register', register('ada@weir.example'))->assertUnprocessable()->assertJsonValidationErrors('email');
    expect(User::where('email', 'ada@weir.example')->count())->toBe(1);
    User::flushEventListeners();
});

it('signs in by the cookie of the session and no other, remembered or not, for two weeks at the most', function (bool $remember) {
    $answer = $this->postJson('/api/register', register('ada@weir.example') + ['remember' => $remember])->assertOk();
    $cookies = $answer->headers->getCookies();
    expect($cookies)->toHaveCount(2)->and($cookies[0]->getName())->toBe(config('session.cookie'))
        ->and($cookies[0]->getExpiresTime())->toBeLessThanOrEqual(now()->addWeeks(2)->getTimestamp() + 5);
    // The other says that this device signed in before, and opens nothing.
    Auth::forgetGuards();
    $this->flushSession();
    $me = $this->call('GET', '/api/me', cookies: [$cookies[1]->getName() => (string) $cookies[1]->getValue()], server: ['HTTP_ACCEPT' => 'application/json']);
    expect($me->assertOk()->json('user'))->toBeNull();
})->with([true, false]);

it('answers a screen of one cook as nobody once another has signed in beside it', function () {
    [$one, $other] = [$this->cook(), $this->cook()];
    $roast = $this->roast();
    $this->actingAs($other)->getJson('/api/roasts', ['X-Cook' => $one->mark()])->assertUnauthorized();
    $this->actingAs($other)->postJson("/api/roasts/$roast->id/events", [], ['X-Cook' => $roast->user->mark()])->assertUnauthorized();
    $this->actingAs($one)->getJson('/api/roasts', ['X-Cook' => $one->mark()])->assertOk();
    $this->getJson('/api/roasts')->assertOk();
    expect($this->getJson('/api/me')->json('user.id'))->toBe($one->mark());
});

it('refuses names that do not show as they were typed', function (string $name) {
    $this->postJson('/api/register', ['name' => $name] + register('ada@weir.example'))->assertJsonValidationErrors('name');
})->with(['a bell' => "Ada\x07", 'turned around' => "Ada\u{202E}nimda", 'an isolate' => "\u{2066}Ada", 'two lines' => "Ada\nBob"]);

it('writes links to the address that people know, whatever it was called by who asked', function () {
    $cook = $this->cook();
    $this->postJson('http://localhost/api/forgotten', ['email' => $cook->email])->assertNoContent();
    expect(linkIn(letters()[0]))->toStartWith(config('app.url').'/new-password#');
});
