<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('loops', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->integer('place');
            $table->text('name');
            $table->json('least')->nullable();
            $table->json('most')->nullable();
            $table->json('lengths');
            $table->timestamps();
        });
    }
};
