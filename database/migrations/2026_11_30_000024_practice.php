<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class() extends Migration
{
    public function up(): void
    {
        // Which lesson, and drawn by what: the truth behind it is worked out from that.
        Schema::table('jobs', fn (Blueprint $table) => $table->json('practice')->nullable());
        Schema::create('practices', function (Blueprint $table): void {
            $table->string('job_id', 40)->primary();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            // The job as it came in, with the gauges and machines of then: what is true of it is drawn for that.
            $table->json('laid');
            $table->string('by', 200)->nullable();
            $table->string('ended_at', 30)->nullable();
            // The marks of the end, for the list.
            $table->json('scores')->nullable();
            $table->boolean('good')->nullable();
            $table->timestamps();
        });
        Schema::create('deeds', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->foreign('job_id')->references('job_id')->on('practices')->cascadeOnDelete();
            $table->unsignedInteger('place');
            $table->json('deed');
            $table->json('result');
            $table->string('by', 200)->nullable();
            $table->string('at', 30);
            $table->unique(['job_id', 'place']);
        });
        Schema::create('exercises', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('kind', 40);
            $table->unsignedInteger('seed');
            $table->string('by', 200)->nullable();
            $table->string('asked_at', 30);
            $table->string('typed', 100)->nullable();
            $table->boolean('right')->nullable();
            $table->float('seconds')->nullable();
        });
    }
};
