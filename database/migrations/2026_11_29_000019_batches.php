<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which piece of a batch a cut is of; how the batch is run. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('cuts', function (Blueprint $table): void {
            $table->integer('piece')->default(1);
            $table->boolean('clean')->default(true);
        });
        Schema::table('jobs', function (Blueprint $table): void {
            $table->json('batch')->nullable();
        });
    }
};
