<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('dishes', function (Blueprint $table): void {
            $table->json('preparations')->nullable()->comment('ids, in the order of the work');
            $table->json('rig')->nullable()->comment('as in the roast file');
        });
        Schema::table('roasts', function (Blueprint $table): void {
            $table->double('latitude')->nullable();
            $table->double('longitude')->nullable();
            $table->string('dark_at', 5)->nullable()->comment('hour that the cook named; else sunset counts');
        });
    }

    public function down(): void
    {
        Schema::table('dishes', fn (Blueprint $table) => $table->dropColumn(['preparations', 'rig']));
        Schema::table('roasts', fn (Blueprint $table) => $table->dropColumn(['latitude', 'longitude', 'dark_at']));
    }
};
