<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->string('temperature_unit', 1)->default('c');
            $table->string('mass_unit', 2)->default('kg');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration')->index();
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration')->index();
        });
        Schema::create('roasts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->dateTime('serve_at');
            $table->string('time_zone', 6)->comment('offset from UTC');
            $table->unsignedSmallInteger('people');
            $table->double('air_c');
            $table->longText('plan_at_lighting')->nullable()->comment('what was expected when the first dish went on; for the debrief');
            $table->string('debrief_note', 2000)->default('');
            $table->string('demo_key', 20)->nullable()->comment('which roast of the demo scenario this is, untouched by a cook');
            $table->string('seeded_as', 20)->nullable()->comment('which roast of the demo scenario this was, touched or not');
            $table->timestamps();
            $table->index(['user_id', 'serve_at']);
        });
        Schema::create('dishes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('roast_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('name', 80);
            $table->string('cut', 60);
            $table->string('form', 40);
            $table->unsignedSmallInteger('pieces');
            $table->double('mass_kg');
            $table->double('thickness_cm')->nullable();
            $table->double('girth_cm')->nullable();
            $table->double('start_c');
            $table->string('taste', 40)->nullable();
            $table->double('target_c')->nullable();
            $table->boolean('coast');
            $table->double('rest_minutes');
            $table->unique(['roast_id', 'position']);
        });
        Schema::create('stages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('dish_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('cooker', 60);
            $table->double('cooker_c');
            $table->string('end', 20);
            $table->double('value')->nullable()->comment('minutes or °C, as the end says');
            $table->json('chores');
            $table->unique(['dish_id', 'position']);
        });
        Schema::create('readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('roast_id')->constrained()->cascadeOnDelete();
            $table->uuid('client_id');
            $table->unsignedTinyInteger('dish');
            $table->dateTime('at', 3);
            $table->string('place', 20);
            $table->double('celsius');
            $table->timestamp('created_at')->nullable();
            $table->unique(['roast_id', 'client_id']);
            $table->index(['roast_id', 'at']);
        });
        Schema::create('events', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('roast_id')->constrained()->cascadeOnDelete();
            $table->uuid('client_id');
            $table->unsignedTinyInteger('dish')->nullable();
            $table->dateTime('at', 3);
            $table->string('kind', 20);
            $table->unsignedTinyInteger('stage')->nullable();
            $table->string('entry', 60)->nullable()->comment('id of the run sheet entry that was ticked');
            $table->double('minutes')->nullable();
            $table->string('note', 500)->nullable();
            $table->timestamp('created_at')->nullable();
            $table->unique(['roast_id', 'client_id']);
            $table->index(['roast_id', 'at']);
        });
    }

    public function down(): void
    {
        foreach (['events', 'readings', 'stages', 'dishes', 'roasts', 'cache_locks', 'cache', 'sessions', 'users'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
