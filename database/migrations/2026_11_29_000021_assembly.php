<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a job came apart and goes together; a step that was done and is not right. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->json('assembly')->nullable();
        });
        Schema::table('ticks', function (Blueprint $table): void {
            $table->boolean('failed')->default(false);
        });
    }
};
