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
            $table->string('shape', 60)->nullable();
        });
        Schema::table('readings', function (Blueprint $table): void {
            $table->string('what', 30)->default('');
        });
    }
};
