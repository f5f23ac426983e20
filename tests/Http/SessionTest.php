<?php

declare(strict_types=1);

use App\Models\User;
use Database\Factories\UserFactory;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\Password;
use Illuminate\Testing\TestResponse;
use Tests\Support\Contract;

it('signs up, out and in', function () {
    $this->postJson(
        '/api/register',
        ['name' => 'Ada', 'email' => 'ada@weir.example', 'password' => 'ember and straw'],
    )->assertOk()->assertJsonPath('user.name', 'Ada');
    $this->postJson('/api/logout')->assertNoContent();
    $this->getJson('/api/me')->assertJsonPath('user', null);
    $answer = $this->postJson('/api/login', ['email' => 'ada@weir.example', 'password' => 'ember and straw'])->assertOk();
    expect(Contract::breaches($answer->content(), 'Me'))->toBe([]);
});

it('says what is wrong with a sign-up', function (string $field, array $input) {
    $this->postJson(
        '/api/register',
        $input + ['name' => 'Ada', 'email' => 'ada@weir.example', 'password' => 'ember and straw'],
    )->assertJsonValidationErrors($field);
    $this->assertGuest();
})->with([['name', ['name' => '']], ['email', ['email' => 'weir']], ['password', ['password' => 'short']], ['name', ['name' => str_repeat('a', 81)]], ['email', ['email' => ['a']]]]);

it('does not tell which half of a sign-in was wrong', function () {
    $this->postJson('/api/login', ['email' => 'nobody@weir.example', 'password' => 'ember and straw'])->assertJsonValidationErrors('email');
    $cook = $this->cook();
    $this->postJson('/api/login', ['email' => $cook->email, 'password' => 'straw and ember'])->assertJsonValidationErrors('email');
});

it('slows down guessing', function () {
    for ($i = 0; $i < 20; $i++) {
        $this->postJson('/api/login', ['email' => 'nobody@weir.example', 'password' => 'x']);
    }
    $this->postJson('/api/login', ['email' => 'nobody@weir.example', 'password' => 'x'])->assertTooManyRequests();
});

/** Signs in from another device at another address. */
function signsIn(Tests\Support\HttpTest $test, string $address, string $email, string $password, array $cookies = []): TestResponse
{
    Auth::forgetGuards();
    $test->flushSession();
    Cookie::flushQueuedCookies();

    return $test->withCredentials()->withServerVariables(['REMOTE_ADDR' => $address])
        ->call('POST', '/api/login', ['email' => $email, 'password' => $password], $cookies, server: ['HTTP_ACCEPT' => 'application/json']);
}

/** @return array<string, string> what a browser would send back, as it came over the wire */
function knownBy(TestResponse $answer): array
{
    $cookies = [];
    foreach ($answer->headers->getCookies() as $cookie) {
        if (str_starts_with($cookie->getName(), 'known_')) {
            expect($cookie->isHttpOnly())->toBeTrue();
            $cookies[$cookie->getName()] = (string) $cookie->getValue();
        }
    }
    expect($cookies)->toHaveCount(1);

    return $cookies;
}

it('lets a cook in from a device that signed in before, however much others guess at that kitchen', function (string $guesser) {
    $cook = $this->cook();
    $known = knownBy(signsIn($this, '127.0.0.2', $cook->email, UserFactory::PASSWORD)->assertOk());
    foreach (range(1, 40) as $guess) {
        signsIn($this, $guesser, $cook->email, "guess $guess");
    }
    signsIn($this, $guesser, $cook->email, UserFactory::PASSWORD)->assertTooManyRequests();
    signsIn($this, '127.0.0.2', $cook->email, UserFactory::PASSWORD, $known)->assertOk();
})->with(['from elsewhere' => '127.0.0.9', 'from the same network' => '127.0.0.2']);

it('has a known device wait for seconds, and knows it for its own address alone', function () {
    $this->freezeTime();
    [$cook, $other] = [$this->cook(), $this->cook()];
    $known = knownBy(signsIn($this, '127.0.0.2', $cook->email, UserFactory::PASSWORD)->assertOk());
    foreach (range(1, 5) as $guess) {
        signsIn($this, '127.0.0.2', $cook->email, "guess $guess", $known)->assertUnprocessable();
    }
    $wait = signsIn($this, '127.0.0.2', $cook->email, UserFactory::PASSWORD, $known)->assertTooManyRequests()->headers->get('Retry-After');
    expect((int) $wait)->toBeGreaterThan(0)->toBeLessThanOrEqual(15);
    $this->travel((int) $wait + 1)->seconds();
    signsIn($this, '127.0.0.2', $cook->email, UserFactory::PASSWORD, $known)->assertOk();
    // The same cookie, under the name that the other's would have, is none.
    $others = array_key_first(knownBy(signsIn($this, '127.0.0.3', $other->email, UserFactory::PASSWORD)->assertOk()));
    foreach (range(1, 12) as $guess) {
        signsIn($this, '127.0.0.4', $other->email, "guess $guess");
    }
    signsIn($this, '127.0.0.5', $other->email, UserFactory::PASSWORD, [$others => reset($known)])->assertTooManyRequests();
});

it('lets a cook in by a letter from any device while others guess', function () {
    $cook = $this->cook();
    foreach (range(1, 40) as $guess) {
        signsIn($this, '127.0.0.9', $cook->email, "guess $guess");
        $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.9'])->postJson('/api/reset', ['token' => "guess $guess", 'email' => $cook->email, 'password' => 'straw and ember']);
        $this->postJson('/api/forgotten', ['email' => $cook->email]);
    }
    $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.7'])->postJson('/api/forgotten', ['email' => $cook->email])->assertNoContent();
    $token = Password::createToken($cook);
    $reset = $this->postJson('/api/reset', ['token' => $token, 'email' => $cook->email, 'password' => 'straw and ember'])->assertNoContent();
    signsIn($this, '127.0.0.7', $cook->email, 'straw and ember', knownBy($reset))->assertOk();
});

it('remembers the cook’s units', function () {
    $this->actingAs($this->cook());
    $this->patchJson('/api/me', ['temperature_unit' => 'f', 'mass_unit' => 'lb'])->assertOk()->assertJsonPath('user.temperature_unit', 'f');
    $this->patchJson('/api/me', ['temperature_unit' => 'k'])->assertJsonValidationErrors('temperature_unit');
    $this->getJson('/api/me')->assertJsonPath('user.temperature_unit', 'f')->assertJsonPath('user.mass_unit', 'lb');
    $this->getJson('/api/me')->assertJsonPath('user.clock_hours', 24);
    $this->patchJson('/api/me', ['clock_hours' => 12])->assertOk()->assertJsonPath('user.clock_hours', 12);
    foreach ([0, 13, 23, '24 h', null, [12], 1e9] as $wrong) {
        $this->patchJson('/api/me', ['clock_hours' => $wrong])->assertJsonValidationErrors('clock_hours');
    }
    $this->getJson('/api/me')->assertJsonPath('user.clock_hours', 12)->assertJsonPath('user.temperature_unit', 'f');
});

it('opens a demo kitchen only where there is one', function () {
    config(['app.demo' => true]);
    $this->postJson('/api/demo')->assertOk();
    $this->postJson('/api/logout');
    config(['app.demo' => false]);
    $this->postJson('/api/demo')->assertNotFound();
});

it('gives each visitor a supper that is cooking, roasts to come and two debriefs', function () {
    config(['app.demo' => true]);
    $this->postJson('/api/demo');
    expect(
        array_count_values(array_column($this->getJson('/api/roasts')->json(), 'status')),
    )->toEqualCanonicalizing(['planned' => 3, 'cooking' => 1, 'done' => 2]);
});

it('gives each visitor a kitchen of their own, keeps it for them, and sweeps it up later', function () {
    config(['app.demo' => true]);
    $visit = function (): array {
        $this->postJson('/api/demo')->assertOk();

        return array_column($this->getJson('/api/roasts')->json(), 'id');
    };
    $first = $visit();
    expect($visit())->toBe($first);
    $this->deleteJson('/api/roasts/'.$first[0])->assertNoContent();
    $this->postJson('/api/logout');
    $second = $visit();
    expect($second)->toHaveCount(6)->and(array_intersect($first, $second))->toBe([]);
    $this->postJson('/api/logout');
    $this->travel(3)->days();
    $visit();
    expect(User::whereNotNull('demo_until')->count())->toBe(1);
});

it('notices an answer that breaks the contract', function () {
    expect(Contract::breaches('{}', 'Plan'))->not->toBe([])
        ->and(Contract::breaches('{"low":1,"likely":"2","high":3}', 'Spread'))->not->toBe([]);
});

it('answers reference as the contract says', function () {
    $this->actingAs($this->cook());
    expect(Contract::breaches($this->getJson('/api/reference')->assertOk()->content(), 'Reference'))->toBe([]);
});

it('keeps personal answers out of caches, and knows no other API', function () {
    $this->getJson('/api/me')->assertHeader('Cache-Control', 'no-store, private');
    $this->getJson('/api/nothing')->assertNotFound();
});
