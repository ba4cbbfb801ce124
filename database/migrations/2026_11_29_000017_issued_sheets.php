<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Sheets as they were issued: never changed afterwards. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('issued_sheets', function (Blueprint $table): void {
            $table->id();
            $table->string('job_id', 40)->index();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->integer('number');
            $table->string('issued_at', 40);
            $table->text('by');
            $table->string('unit', 2);
            $table->string('checksum', 64);
            $table->longText('facts');
            $table->longText('html');
            $table->unique(['job_id', 'number']);
        });
    }
};
