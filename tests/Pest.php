<?php

declare(strict_types=1);

use App\Words\Voice;
use Diatherm\Day\Entry;
use Diatherm\Measure\Input;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\Working;
use Diatherm\Plan\Plan;
use Pest\Mutate\Support\MutationGenerator;
use Pest\Support\Container;
use Tests\Support\BrowserTest;
use Tests\Support\HttpTest;
use Tests\Support\RunningTest;
use Tests\Support\Said;
use Tests\Support\SampledMutations;

// A share of all small breakages, where trying each of them would take days (bin/test mutation).
if ((float) getenv('MUTATION_SHARE') > 0) {
    Container::getInstance()->add(MutationGenerator::class, new SampledMutations((float) getenv('MUTATION_SHARE'), 'weir'));
}

pest()->extend(HttpTest::class)->in('Http');
pest()->extend(RunningTest::class)->in('Running');
pest()->extend(BrowserTest::class)->in('Browser', 'Ways');

/**
 * What a message says, in English and metric; one that came as JSON too. Tests read what a cook reads.
 *
 * @param  Message|array<string, mixed>|null  $message
 */
function said(Message|array|null $message): string
{
    return $message === null ? '' : Voice::metric()->say($message instanceof Message ? $message : Said::message($message));
}

/** What a refusal says, all its fields together. */
function sayRefusal(InvalidInput $wrong): string
{
    return implode(' ', array_map(said(...), array_merge(...array_values($wrong->messages))));
}

expect()->extend('toRefuse', function (string $words): Pest\Expectation {
    return $this->toThrow(function (InvalidInput $wrong) use ($words): void {
        expect(sayRefusal($wrong))->toContain($words);
    });
});

/** A run sheet as it is read, line by line. */
function sheetText(Plan $plan): string
{
    return implode(' | ', array_map(fn (Entry $entry): string => said($entry->title).'. '.said($entry->detail), $plan->runSheet->entries));
}

/** @return array<string, Entry> the lines of a run sheet by id */
function entriesById(Plan $plan): array
{
    return array_column(array_map(fn (Entry $entry): array => [$entry->id->text(), $entry], $plan->runSheet->entries), 1, 0);
}

/** @return array<string, string> what went into a number, label => figure, as they are read */
function inputsOf(Working $working): array
{
    return array_column(array_map(fn (Input $input): array => [said($input->label), said($input->figure)], $working->inputs), 1, 0);
}
