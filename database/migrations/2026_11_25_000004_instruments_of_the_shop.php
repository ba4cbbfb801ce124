<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('own_instruments', function (Blueprint $table): void {
            $table->string('code', 40)->primary();
            $table->json('figures');
            $table->json('typed');
            $table->timestamps();
        });
    }
};
