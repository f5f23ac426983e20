<?php

declare(strict_types=1);

use App\Models\Event;
use Illuminate\Support\Str;
use Tests\Support\HttpTest;
use Tests\Support\Matrix;

uses(HttpTest::class);

// Every entry of every run sheet of the matrix is ticked off through the API as a thumb would, in order, and stays done.

/** @return array<string, array{array<string, array<string, mixed>>}> */
function ticked(): array
{
    $files = getenv('MATRIX') === 'whole' ? Matrix::all() : Matrix::sample(29);

    return array_combine(
        array_map(
            fn (array $part): string => array_key_first($part).' …',
            $parts = array_chunk($files, max(4, intdiv(count($files), 40)), true),
        ),
        array_map(fn (array $part): array => [$part], $parts),
    );
}

/**
 * The event that logs an entry as done.
 *
 * @param  array<string, mixed>  $entry
 * @param  array<string, mixed>  $file
 * @return array<string, mixed>
 */
function eventOf(array $entry, array $file): array
{
    $parts = explode('.', $entry['id']);
    $chore = $entry['act'] === 'chore' ? (
        $file['dishes'][$entry['dish'] ?? 0]['stages'][(int) ($parts[2] ?? 0)]['chores'][(int) ($parts[3] ?? 0)]['do'] ?? ''
    ) : '';

    return match ($entry['act']) {
        'on' => ['kind' => 'on'],
        'pull' => ['kind' => 'pulled'],
        'carve' => ['kind' => 'carved'],
        'stage' => ['kind' => 'stage', 'stage' => (int) $parts[2]],
        'fire' => ['kind' => str_contains($entry['id'], '.refuel.') ? 'fuel' : 'tick'],
        'chore' => [
            'kind' => [
                'baste' => 'basted', 'spray' => 'basted', 'turn' => 'turned', 'rotate' => 'turned', 'fuel' => 'fuel',
            ][$chore] ?? 'tick',
        ],
        default => ['kind' => 'tick'],
    } + ['dish' => $entry['dish'], 'entry' => $entry['id']];
}

it('takes every tick of every run sheet', function (array $files) {
    config(['app.limits.compute' => 1_000_000]);
    $this->actingAs($this->cook());
    $wrong = [];
    foreach ($files as $name => $file) {
        $file['dishes'][0]['stages'][0]['chores'] = [
            ['do' => 'baste', 'every_minutes' => 45],
            ['do' => 'turn', 'every_minutes' => 0, 'from_minutes' => 20],
        ];
        $stored = $this->postJson('/api/roasts', ['serve_at' => now()->addHours(60)->toAtomString()] + $file);
        if ($stored->status() === 422) {
            continue;
        }
        $stored->assertCreated();
        $id = $stored->json('id');
        $sheet = $stored->json('plan.run_sheet');
        $at = now()->subHours(3);
        foreach ($sheet as $i => $entry) {
            if (in_array($entry['act'], ['rest', 'serve'], true)) {
                continue;
            }
            $body = eventOf($entry, $stored->json('file')) + [
                'id' => (string) Str::uuid(),
                'at' => $at->addSeconds(20 * $i)->toAtomString(),
            ];
            $answer = $this->postJson("/api/roasts/$id/events", $body, ['Prefer' => 'return=minimal']);
            if ($answer->status() !== 204) {
                $wrong[] = "$name, {$entry['id']}: {$answer->status()} ".$answer->json('message');
            }
        }
        $after = $this->getJson("/api/roasts/$id");
        $open = array_filter(
            $after->json('plan.run_sheet') ?? [],
            fn (array $entry): bool => ! $entry['done'] && in_array($entry['act'], ['on', 'stage', 'pull', 'carve', 'hold'], true),
        );
        if ($after->json('status') !== 'done' || $open !== []) {
            $wrong[] = "$name: is {$after->json('status')}, with ".implode(
                ', ',
                array_column($open, 'id'),
            ).' still open; '.$after->json('trouble');
        }
        $this->deleteJson("/api/roasts/$id")->assertNoContent();
    }
    expect($wrong)->toBe([])->and(Event::count())->toBe(0);
})->with(fn (): array => ticked());
