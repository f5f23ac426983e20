<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Roast;
use App\Models\User;
use Illuminate\Foundation\Http\Middleware\VerifyCsrfToken;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Cache;
use Illuminate\Testing\TestResponse;

/** Requests against the whole application and its database; each test is rolled back. */
abstract class HttpTest extends TestCase
{
    use DatabaseTransactions;

    public function createApplication(): \Illuminate\Foundation\Application
    {
        $app = require __DIR__.'/../../bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        // What this machine has counted so far is of other tests.
        Cache::store('machine')->clear();
        $this->withoutMiddleware(VerifyCsrfToken::class);
    }

    public function cook(): User
    {
        return User::factory()->create();
    }

    /** Signs a new cook in and stores a roast; its serving hour is four hours from now. */
    public function roast(array $dish = [], array $roast = []): Roast
    {
        $this->actingAs($this->cook());
        $answer = $this->postJson(
            '/api/roasts',
            Samples::file($dish, $roast + ['serve_at' => now()->addHours(4)->toAtomString()]),
        )->assertCreated();

        return Roast::findOrFail($answer->json('id'));
    }

    /**
     * @param  array<string, mixed>  $change
     * @param  string  $edition  that it was made from
     */
    public function changeRoast(Roast|string $roast, array $change, string $edition = '*'): TestResponse
    {
        $id = is_string($roast) ? $roast : $roast->id;

        return $this->patchJson("/api/roasts/$id/file", $change, ['If-Match' => $edition]);
    }

    public function log(Roast $roast, string $kind, int $minutesAgo = 0, array $more = []): TestResponse
    {
        return $this->postJson(
            "/api/roasts/{$roast->id}/events",
            $more + [
                'id' => (string) \Illuminate\Support\Str::uuid(), 'dish' => 0,
                'at' => now()->subMinutes($minutesAgo)->toAtomString(), 'kind' => $kind,
            ],
        );
    }

    public function read(Roast $roast, float $celsius, int $minutesAgo = 0, array $more = []): TestResponse
    {
        return $this->postJson(
            "/api/roasts/{$roast->id}/readings",
            $more + [
                'id' => (string) \Illuminate\Support\Str::uuid(), 'dish' => 0,
                'at' => now()->subMinutes($minutesAgo)->toAtomString(), 'place' => 'core', 'celsius' => $celsius,
            ],
        );
    }
}
