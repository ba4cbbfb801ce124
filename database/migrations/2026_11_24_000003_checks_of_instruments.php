<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('instrument_checks', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('instrument', 40)->index();
            $table->json('read');
            $table->json('true');
            $table->double('read_mm');
            $table->double('true_mm');
            $table->string('at', 40);
            $table->timestamps();
        });
        Schema::table('readings', function (Blueprint $table): void {
            $table->double('correction_mm')->nullable();
        });
    }
};
