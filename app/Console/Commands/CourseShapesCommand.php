<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Diatherm\Measure\Table;
use Diatherm\Practice\ShapeLibrary;
use Illuminate\Console\Command;

/** Draws data/course-shapes.json anew. */
final class CourseShapesCommand extends Command
{
    protected $signature = 'diatherm:course-shapes';

    protected $description = 'Draw the shapes of courses that the live forecast weighs';

    public function handle(): int
    {
        $table = [...Table::named('course-shapes'), ...ShapeLibrary::draw()];
        file_put_contents(base_path('data/course-shapes.json'), json_encode($table, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n");

        return self::SUCCESS;
    }
}
