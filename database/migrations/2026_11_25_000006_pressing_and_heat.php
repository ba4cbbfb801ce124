<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('pushes', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->integer('place');
            $table->string('joint', 40);
            $table->json('depth');
            $table->double('force_n');
            $table->string('at', 40)->nullable();
            $table->timestamps();
        });
        Schema::table('joints', function (Blueprint $table): void {
            $table->double('outer_c')->nullable();
            $table->double('inner_c')->nullable();
        });
    }
};
