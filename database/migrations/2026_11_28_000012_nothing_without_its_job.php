<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Lists that went without a job to belong to. */
    private const LISTS = ['pushes', 'loops', 'mistakes', 'clearances'];

    public function up(): void
    {
        foreach (self::LISTS as $list) {
            DB::table($list)->whereNotIn('job_id', DB::table('jobs')->select('id'))->delete();
            // SQLite gives a table a foreign key by making it anew; the schema builder does that.
            Schema::table($list, function (Blueprint $table): void {
                $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            });
        }
        Schema::table('changes', function (Blueprint $table): void {
            $table->dropUnique(['request']);
            $table->string('content', 64)->nullable();
            $table->string('client', 40)->nullable();
            $table->unsignedBigInteger('undoes')->nullable();
            $table->boolean('redone')->default(false);
            $table->unique(['job_id', 'request']);
        });
        Schema::table('readings', function (Blueprint $table): void {
            $table->json('history')->default('[]');
        });
        foreach (DB::table('readings')->whereNotNull('was')->get(['id', 'was']) as $reading) {
            DB::table('readings')->where('id', $reading->id)->update(['history' => "[{$reading->was}]"]);
        }
        Schema::table('instrument_checks', function (Blueprint $table): void {
            $table->string('void_at', 40)->nullable();
            $table->text('void_why')->nullable();
        });
    }
};
