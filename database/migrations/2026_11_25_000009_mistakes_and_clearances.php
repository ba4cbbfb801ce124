<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('loops', function (Blueprint $table): void {
            $table->boolean('plane')->default(false);
        });
        Schema::create('mistakes', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->integer('place');
            $table->string('surface', 40)->nullable();
            $table->string('loop', 40)->nullable();
            $table->text('length')->nullable();
            $table->json('old')->nullable();
            $table->json('new')->nullable();
            $table->json('readings');
            $table->string('cause', 40);
            $table->text('note');
            $table->string('at', 40)->nullable();
            $table->timestamps();
        });
        Schema::create('clearances', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->integer('place');
            $table->text('name');
            $table->string('travel', 20);
            $table->string('other', 20);
            foreach (['arm', 'mover', 'from', 'to', 'x', 'y', 'other_size', 'doubt', 'least'] as $size) {
                $table->json($size)->nullable();
            }
            $table->double('from_deg')->nullable();
            $table->double('to_deg')->nullable();
            $table->timestamps();
        });
    }
};
