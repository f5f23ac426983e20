<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A way that was taken on the day says what it was in its own words, and how things stood before it, so that it can be undone. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('events', function (Blueprint $table): void {
            $table->text('words')->nullable()->comment('a message: id and values');
            $table->longText('before')->nullable()->comment('of a change of the plan: the inputs before and after it, and what was logged with it');
        });
    }

    public function down(): void
    {
        Schema::table('events', function (Blueprint $table): void {
            $table->dropColumn(['words', 'before']);
        });
    }
};
