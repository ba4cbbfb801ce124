<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class() extends Migration
{
    /** What is the record, and who did it. */
    private const SIGNED = ['readings', 'cuts', 'ticks', 'pushes', 'trials'];

    public function up(): void
    {
        Schema::create('people', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('name', 200);
            $table->string('role', 20);
            $table->string('secret', 255)->nullable();
            // To choose a secret with, once.
            $table->string('code', 255)->nullable();
            $table->string('code_until', 30)->nullable();
            $table->unsignedInteger('misses')->default(0);
            $table->string('locked_until', 30)->nullable();
            // Whoever sat down before this moment has to sign in again.
            $table->unsignedBigInteger('sits_from')->default(0);
            // Never deleted: the record names them.
            $table->string('left_at', 30)->nullable();
            $table->timestamps();
        });
        Schema::table('changes', fn (Blueprint $table) => $table->string('by', 200)->nullable());
        foreach (self::SIGNED as $list) {
            Schema::table($list, fn (Blueprint $table) => $table->string('by', 200)->nullable());
        }
    }
};
