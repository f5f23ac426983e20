<?php

declare(strict_types=1);

use App\Kitchen\KitchenFile;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Support\FullKitchen;

// A backup is worth what can be restored from it.

/** @return array<int, array<string, mixed>> every kitchen by its cook, as it stands in a database */
function kitchensIn(string $database): array
{
    config(['database.connections.mariadb.database' => $database]);
    DB::purge();
    $kitchens = [];
    foreach (User::query()->orderBy('id')->get() as $cook) {
        $kitchens[$cook->id] = ['cook' => $cook->getAttributes()] + KitchenFile::write($cook);
    }
    config(['database.connections.mariadb.database' => getenv('DB_DATABASE')]);
    DB::purge();

    return $kitchens;
}

beforeEach(function () {
    $this->file = sys_get_temp_dir().'/diatherm-'.bin2hex(random_bytes(5)).'.sql.gz';
});
afterEach(function () {
    @unlink($this->file);
});

it('restores every kitchen as it was into an empty database', function () {
    FullKitchen::open();
    FullKitchen::open();
    $there = kitchensIn((string) getenv('DB_DATABASE'));
    $backup = $this->bin("backup --check $this->file");
    expect($backup['status'])->toBe(0, $backup['said'])->and(fileperms($this->file) & 0077)->toBe(0)
        ->and($there)->toHaveCount(2)
        ->and(kitchensIn('diatherm_check'))->toEqual($there);
});

it('is of one moment though cooks go on', function () {
    $cook = FullKitchen::open();
    $roast = $cook->roasts()->where('status', 'cooking')->firstOrFail();
    $before = $roast->readings()->count() - $roast->events()->count();
    // A reading and an event, together or not at all, as fast as they go.
    $pid = pcntl_fork();
    if ($pid === 0) {
        DB::purge();
        while (true) {
            DB::transaction(function () use ($roast): void {
                $roast->readings()->create(
                    ['client_id' => (string) Str::uuid(), 'dish' => 0, 'at' => now(), 'place' => 'core', 'celsius' => 40.0],
                );
                $roast->events()->create(['client_id' => (string) Str::uuid(), 'dish' => 0, 'at' => now(), 'kind' => 'basted']);
            });
        }
    }
    DB::purge();
    for ($i = 0; $i < 600 && $roast->events()->count() <= 6; $i++) {
        usleep(100_000);
    }
    $backup = $this->bin("backup --check $this->file");
    posix_kill($pid, SIGKILL);
    pcntl_waitpid($pid, $status);
    DB::purge();
    $count = fn (string $table): int => (int) DB::selectOne(
        "select count(*) as n from diatherm_check.$table where roast_id = ?", [$roast->id],
    )->n;
    expect($backup['status'])->toBe(0, $backup['said'])->and($count('events'))->toBeGreaterThan(5)
        ->and($count('readings') - $count('events'))->toBe($before);
})->skip(fn (): bool => ! function_exists('pcntl_fork'), 'It takes a second process.');

it('puts a backup in place of what there is, and keeps that too', function () {
    FullKitchen::open();
    $then = kitchensIn((string) getenv('DB_DATABASE'));
    expect($this->bin("backup $this->file")['status'])->toBe(0);
    User::query()->delete();
    FullKitchen::open();
    $asked = $this->bin("restore $this->file");
    expect($asked['status'])->not->toBe(0)->and($asked['said'])->toContain('nothing was replaced');
    $restored = $this->bin("restore $this->file --yes");
    expect($restored['status'])->toBe(0, $restored['said'])->and(kitchensIn((string) getenv('DB_DATABASE')))->toEqual($then);
    preg_match('~storage/backups/before-restore[\w.-]+~', $restored['said'], $kept);
    expect(is_file(dirname(__DIR__, 2).'/'.$kept[0]))->toBeTrue();
    unlink(dirname(__DIR__, 2).'/'.$kept[0]);
});

it('takes no file that is damaged or none', function (string $content) {
    FullKitchen::open();
    $then = kitchensIn((string) getenv('DB_DATABASE'));
    file_put_contents($this->file, $content);
    expect($this->bin("restore $this->file --yes")['status'])->not->toBe(0)
        ->and($this->bin('restore /nowhere.sql.gz --yes')['status'])->not->toBe(0)
        ->and(kitchensIn((string) getenv('DB_DATABASE')))->toEqual($then);
})->with([
    'nothing' => '',
    'words' => 'no backup at all',
    'cut short' => substr((string) gzencode(str_repeat('insert into users ', 900)), 0, 60),
]);
