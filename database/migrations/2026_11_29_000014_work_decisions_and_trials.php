<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('surfaces', function (Blueprint $table): void {
            $table->string('work', 20)->nullable();
            $table->json('sure')->nullable();
        });
        Schema::table('readings', function (Blueprint $table): void {
            $table->string('state', 20)->default('before');
        });
        Schema::table('joints', function (Blueprint $table): void {
            $table->string('first', 10)->nullable();
        });
        Schema::create('concessions', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->integer('place');
            $table->string('surface', 40)->nullable();
            $table->string('phase', 10)->default('only');
            $table->string('joint', 40)->nullable();
            $table->string('loop', 40)->nullable();
            $table->string('cut', 40)->nullable();
            $table->string('decision', 20);
            $table->text('by');
            $table->text('why');
            $table->string('at', 40)->nullable();
            $table->timestamps();
        });
        Schema::create('trials', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->integer('place');
            $table->string('joint', 40)->nullable();
            $table->string('loop', 40)->nullable();
            $table->string('cut', 40)->nullable();
            $table->string('seen', 30);
            $table->json('amount')->nullable();
            $table->double('turn')->nullable();
            $table->json('pitch')->nullable();
            $table->text('note');
            $table->string('at', 40)->nullable();
            $table->timestamps();
        });
    }
};
