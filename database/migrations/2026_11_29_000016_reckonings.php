<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The sums of a job; what was done to a surface, and its own hardness; taps and dies of the shop. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('surfaces', function (Blueprint $table): void {
            $table->string('treated', 30)->nullable();
            $table->json('hardness')->nullable();
        });
        Schema::table('shops', function (Blueprint $table): void {
            $table->text('taps')->default('');
            $table->text('dies')->default('');
        });
        Schema::create('reckonings', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->integer('place');
            $table->string('sum', 40);
            $table->text('name');
            $table->json('given');
            $table->string('unit', 2);
            $table->json('from');
            $table->json('gives');
            $table->json('rounds');
            $table->text('note');
            $table->timestamps();
        });
    }
};
