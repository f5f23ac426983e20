<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Thermometers with a token of their own, the probes that hang on them, and what came from which. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('devices', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->foreignUlid('roast_id')->nullable()->comment('that it reads for')->constrained()->nullOnDelete();
            $table->json('probes')->comment('channel, dish and place of each');
            $table->json('heard')->comment('by channel: what each probe said last, and when');
            $table->dateTime('heard_at', 3)->nullable();
            $table->unsignedTinyInteger('battery')->nullable()->comment('percent');
            $table->unsignedTinyInteger('signal')->nullable()->comment('percent');
            $table->timestamps();
        });
        Schema::create('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->ulidMorphs('tokenable');
            $table->text('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable()->index();
            $table->timestamps();
        });
        Schema::table('readings', function (Blueprint $table): void {
            $table->char('device_id', 26)->nullable()->comment('that it came from; null for a hand');
            $table->unsignedTinyInteger('channel')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('readings', function (Blueprint $table): void {
            $table->dropColumn(['device_id', 'channel']);
        });
        Schema::dropIfExists('personal_access_tokens');
        Schema::dropIfExists('devices');
    }
};
