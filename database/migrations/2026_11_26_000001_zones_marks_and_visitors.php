<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('roasts', function (Blueprint $table): void {
            $table->string('time_zone', 64)->comment('IANA name, or the offset of an older roast')->change();
            $table->dropColumn(['demo_key', 'seeded_as']);
        });
        // Pulling early was the default and not a wish: it is left to the policy again, which counts nothing for poultry.
        Schema::table('dishes', function (Blueprint $table): void {
            $table->boolean('coast')->nullable()->comment('null: as the food allows')->change();
        });
        DB::table('dishes')->where('coast', true)->update(['coast' => null]);
        Schema::table('readings', function (Blueprint $table): void {
            $table->boolean('sure')->default(false)->comment('said to be right though it looks odd');
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->dateTime('demo_until')->nullable()->index()->comment('a visitor’s demo kitchen, swept up after this');
        });
        // One demo kitchen was shared by all: visitors now have one each.
        DB::table('users')->where('email', 'demo@weir.example')->update(['demo_until' => now()]);
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('demo_until'));
        Schema::table('readings', fn (Blueprint $table) => $table->dropColumn('sure'));
        DB::table('dishes')->whereNull('coast')->update(['coast' => true]);
        Schema::table('dishes', fn (Blueprint $table) => $table->boolean('coast')->nullable(false)->change());
        DB::table('roasts')->whereRaw('char_length(time_zone) > 6')->update(['time_zone' => '+00:00']);
        Schema::table('roasts', function (Blueprint $table): void {
            $table->string('time_zone', 6)->change();
            $table->string('demo_key', 20)->nullable();
            $table->string('seeded_as', 20)->nullable();
        });
    }
};
