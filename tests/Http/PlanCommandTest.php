<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/** The command as a person runs it, with no database to be reached. */
function plan(string ...$arguments): Process
{
    $process = new Process([PHP_BINARY, 'artisan', 'diatherm:plan', ...$arguments], dirname(__DIR__, 2), ['DB_PORT' => '1']);
    $process->run();

    return $process;
}

it('plans a roast file without a database', function (string $example) {
    $run = plan("docs/examples/$example.json");
    $plan = json_decode($run->getOutput(), true);
    expect($run->getExitCode())->toBe(0)->and($plan['run_sheet'])->not->toBeEmpty();
    foreach ($plan['dishes'] as $dish) {
        expect($dish)->toHaveKeys(['cook_minutes', 'rule_minutes', 'pull_c', 'peak_c', 'first_look_minutes', 'lethality_log10', 'warnings'])
            ->and($dish['cook_minutes']['low'])->toBeLessThanOrEqual($dish['cook_minutes']['likely']);
    }
})->with(['weir-supper', 'reverse-sear', 'spit-lamb']);

it('prints a run sheet to read', function () {
    $text = plan('docs/examples/weir-supper.json', '--text')->getOutput();
    expect($text)
        ->toContain('table at 18:45')
        ->toMatch('/Light \d+ briquettes/')
        ->toContain('Pull Rack of pork')
        ->toMatch('/^  \d\d:\d\d  /m');
});

it('names what is wrong with a file, and leaves with an error', function () {
    $file = tempnam(sys_get_temp_dir(), 'roast');
    file_put_contents(
        $file,
        '{"serve_at":"2031-10-04T18:45:00+02:00","dishes":[{"cut":"pork-rack","mass_kg":-1,"stages":[{"cooker":"kettle"}]}]}',
    );
    $run = plan($file);
    expect($run->getExitCode())->toBe(2)
        ->and($run->getErrorOutput())->toContain('dishes.0.mass_kg: The mass of one piece must be between')
        ->and($run->getOutput())->toBe('');
    unlink($file);
    expect(plan('nowhere.json')->getExitCode())->toBe(2);
});
