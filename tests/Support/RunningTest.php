<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\User;

/** What is run for real beside the tests sees what they store, so nothing is rolled back: it is taken away afterwards. */
abstract class RunningTest extends HttpTest
{
    /** @return list<string> */
    protected function connectionsToTransact(): array
    {
        return [];
    }

    protected function tearDown(): void
    {
        User::query()->delete();
        parent::tearDown();
    }

    /** @return array{status: int, said: string} of one of the scripts in bin/ */
    public function bin(string $command): array
    {
        exec('cd '.escapeshellarg(dirname(__DIR__, 2))." && bin/$command 2>&1 </dev/null", $said, $status);

        return ['status' => $status, 'said' => implode("\n", $said)];
    }
}
