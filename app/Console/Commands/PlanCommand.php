<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\RunSheetText;
use App\Http\Resources\PlanResource;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Illuminate\Console\Command;

/** Plans a roast file without a database. */
final class PlanCommand extends Command
{
    protected $signature = 'diatherm:plan {file : roast file, or - for standard input} {--text : a run sheet to read instead of JSON}';

    protected $description = 'Plan a roast from a file (docs/roast.schema.json)';

    public function handle(): int
    {
        $file = $this->argument('file');
        assert(is_string($file));
        $json = $file === '-' ? stream_get_contents(STDIN) : (is_file($file) ? file_get_contents($file) : false);
        if ($json === false) {
            $this->components->error(Voice::metric()->say(Message::of('paper.no_file', file: $file)));

            return self::INVALID;
        }
        $voice = Voice::metric();
        try {
            $plan = Plan::of(RoastFile::readJson($json), CarbonImmutable::now());
        } catch (InvalidInput $wrong) {
            foreach ($wrong->messages as $path => $messages) {
                foreach ($messages as $message) {
                    $this->getOutput()->getErrorStyle()->writeln("$path: {$voice->say($message)}");
                }
            }

            return self::INVALID;
        }
        $this->output->writeln($this->option('text')
            ? RunSheetText::of($plan, $voice)
            : json_encode(
                (new PlanResource($plan))->toArray(),
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            ));

        return self::SUCCESS;
    }
}
