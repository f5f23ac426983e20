<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Diatherm\Practice\Calibration;
use Illuminate\Console\Command;

/** Fits what the heat model leaves open to the cooks of practice, and writes the numbers where they stand in data/. */
final class CalibrateCommand extends Command
{
    private const DIGITS = 4;

    /** Nothing finer is known of how far a kind may be off. */
    private const DOUBT_STEP = 0.05;

    protected $signature = 'diatherm:calibrate {--steps=8 : of Gauss and Newton} {--print : to the screen instead of data/}';

    protected $description = 'Fit the heat model to the cooks of practice';

    public function handle(): int
    {
        $calibration = Calibration::asShipped();
        for ($step = 0; $step < (int) $this->option('steps'); $step++) {
            $calibration = $calibration->step();
        }
        $written = [];
        foreach ($calibration->values() as [$parameter, $value]) {
            $keys = explode('.', $parameter->key);
            foreach ($parameter->rows === [] ? [$keys[0]] : $parameter->rows as $row) {
                $written[] = [$parameter->table, $row, end($keys), $value];
            }
        }
        foreach ($written as [$table, $row, $key, $value]) {
            $this->write($table, $row, $key, $value);
        }
        // What is left open is told of the numbers as they stand now.
        foreach ($calibration->doubts() as $kind => $doubt) {
            $this->write('cookers', $kind, 'doubt', round($doubt / self::DOUBT_STEP) * self::DOUBT_STEP);
        }

        return self::SUCCESS;
    }

    /** A row of the table is one line of its file: the number after a key in it is changed, and all else stays as it was typed. */
    private function write(string $table, string $row, string $key, float $value): void
    {
        $number = rtrim(sprintf('%.'.self::DIGITS.'G', $value), '.');
        if ($this->option('print')) {
            $this->line("$table $row $key $number");

            return;
        }
        $file = base_path("data/$table.json");
        $lines = explode("\n", (string) file_get_contents($file));
        foreach ($lines as $i => $line) {
            if (preg_match('/"id": "'.preg_quote($row, '/').'"[,}]|^"'.preg_quote($row, '/').'": \{/', $line) === 1) {
                $changed = preg_replace('/("'.preg_quote($key, '/').'": )-?[0-9.eE+-]+/', '${1}'.$number, $line, count: $count);
                if ($count > 0 && $value === 0.0) {
                    $changed = str_replace("\"$key\": $number, ", '', (string) $changed);
                } elseif ($count === 0 && $value > 0.0) {
                    $changed = str_replace(', "preheat_min"', ", \"$key\": $number, \"preheat_min\"", $line);
                }
                $lines[$i] = (string) $changed;
            }
        }
        file_put_contents($file, implode("\n", $lines));
    }
}
