<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('roasts', function (Blueprint $table): void {
            $table->double('wind_ms')->default(1.5)->comment('at head height');
            $table->boolean('rain')->default(false);
            $table->double('altitude_m')->default(0);
            $table->json('fires')->nullable()->comment('as in the roast file');
        });
        Schema::table('events', function (Blueprint $table): void {
            $table->json('settings')->nullable()->comment('of a cooker, where it was set');
            $table->double('celsius')->nullable()->comment('that it was set for');
        });
        Schema::create('cookers', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('kind', 60);
            $table->json('facts');
            $table->timestamps();
            $table->unique(['user_id', 'name']);
        });
        Schema::create('cooker_observations', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('cooker_id')->constrained()->cascadeOnDelete();
            $table->uuid('client_id');
            $table->dateTime('at')->nullable();
            $table->json('settings');
            $table->double('air_c');
            $table->double('wind_ms');
            $table->boolean('rain');
            $table->double('altitude_m');
            $table->double('celsius');
            $table->string('phase', 20);
            $table->double('minutes');
            $table->unique(['cooker_id', 'client_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('cooker_observations');
        Schema::dropIfExists('cookers');
        Schema::table('events', fn (Blueprint $table) => $table->dropColumn(['settings', 'celsius']));
        Schema::table('roasts', fn (Blueprint $table) => $table->dropColumn(['wind_ms', 'rain', 'altitude_m', 'fires']));
    }
};
