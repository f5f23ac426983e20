<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A link for a second pair of hands: it shows one roast's tasks and ticks them, and nothing else. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('roasts', function (Blueprint $table): void {
            $table->char('hands_key', 64)->nullable()->unique()->comment('of the link for a second pair of hands, hashed');
        });
    }

    public function down(): void
    {
        Schema::table('roasts', function (Blueprint $table): void {
            $table->dropUnique(['hands_key']);
            $table->dropColumn('hands_key');
        });
    }
};
