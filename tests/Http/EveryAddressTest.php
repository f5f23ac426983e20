<?php

declare(strict_types=1);

use App\Models\Device;
use Illuminate\Support\Facades\Auth;
use Tests\Support\ContractFuzz;

// Requests made from the contract, over every address: none is answered with a failure, and each refusal says what is wrong.

/** What ends the kitchen that is asked, or the session. */
const LEFT_ALONE = ['DELETE /api/account', 'POST /api/logout', 'DELETE /api/roasts/{roast}', 'DELETE /api/cookers/{cooker}', 'DELETE /api/devices/{device}', 'POST /api/demo', 'POST /api/device/readings', 'GET /api/device'];

const ASKED_OF_EACH = 12;

it('answers what the contract lets through, and what it does not, without a failure', function () {
    config(['app.limits' => array_map(fn (): int => 1_000_000, config('app.limits')), 'mail.default' => 'array']);
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $cooker = $this->postJson('/api/cookers', ['name' => 'Boathouse kettle', 'kind' => 'kettle', 'facts' => ['diameter_cm' => 57]])->json('id');
    $device = Device::factory()->for($roast->user)->create()->id;
    $event = $roast->events()->firstOrFail()->client_id;
    $key = str_replace('/hands/', '', (string) $this->postJson("/api/roasts/$roast->id/hands")->json('path'));
    $fuzz = new ContractFuzz(20311004, ['roast' => [$roast->id], 'cooker' => [$cooker], 'device' => [$device], 'id' => [$event], 'key' => [$key]], LEFT_ALONE);
    $wrong = [];
    foreach ($fuzz->operations() as $number => $operation) {
        for ($i = 0; $i < ASKED_OF_EACH; $i++) {
            $asked = $fuzz->ask($number);
            Auth::guard('web')->setUser($roast->user);
            $answer = $this->call(
                $asked['method'], $asked['path'], content: $asked['body'],
                server: ['CONTENT_TYPE' => $asked['type'], 'HTTP_ACCEPT' => 'application/json'] + ($asked['edition'] === null ? [] : ['HTTP_IF_MATCH' => $asked['edition']]),
            );
            $status = $answer->status();
            $told = $status === 422 ? json_decode($answer->content())->errors ?? null : new stdClass;
            if ($status >= 500 || ! $told instanceof stdClass) {
                $wrong[] = "$status to $operation {$asked['path']} ".mb_substr((string) $asked['body'], 0, 300).' '.mb_substr((string) $answer->exception?->getMessage(), 0, 200);
            }
        }
        $roast->user->roasts()->whereKeyNot($roast->id)->delete();
    }
    expect(array_slice($wrong, 0, 5))->toBe([])->and(count($fuzz->operations()))->toBeGreaterThan(60);
});

it('answers lists where one value is due with a message at a field, at every address that takes a query', function (string $address) {
    $this->actingAs($this->cook());
    $answer = $this->getJson($address);
    expect($answer->status())->toBe(422)->and(json_decode($answer->content())->errors)->toBeInstanceOf(stdClass::class);
})->with([
    '/api/weather?latitude[]=1&longitude=2&from=2031-10-04T10:00:00Z&until=2031-10-04T12:00:00Z',
    '/api/weather?latitude=1&longitude=2&from[]=2031-10-04T10:00:00Z&until=2031-10-04T12:00:00Z',
    '/api/mixes?mass_kg[]=2', '/api/mixes?litres[a]=2', '/api/mixes?guests[]=2',
]);
