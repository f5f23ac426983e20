<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which of several pieces a reading is of. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('readings', function (Blueprint $table): void {
            $table->unsignedTinyInteger('piece')->default(1)->comment('of several alike, from 1');
        });
    }

    public function down(): void
    {
        Schema::table('readings', function (Blueprint $table): void {
            $table->dropColumn('piece');
        });
    }
};
