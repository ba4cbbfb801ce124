<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What cuts took off for what was dialled, by job, so that later jobs can go by it; since when that counts. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('take_offs', function (Blueprint $table): void {
            $table->id();
            $table->string('job_id', 40)->index();
            $table->string('metal', 100);
            $table->boolean('inside');
            $table->boolean('slender');
            $table->json('ratios');
        });
        Schema::table('shops', function (Blueprint $table): void {
            $table->string('learns_since', 40)->nullable();
            $table->json('recipes')->nullable();
            $table->boolean('polishes_last')->default(false);
        });
    }
};
