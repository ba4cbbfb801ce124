<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Machines of the shop; a centre that goes with another; a part made for both hands; what was changed of a
 * plan; how long a piece of work took.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('shops', function (Blueprint $table): void {
            $table->json('machines')->nullable();
            $table->text('drills')->default('');
            $table->text('reamers')->default('');
            $table->string('tool_unit', 2)->nullable();
        });
        Schema::table('surfaces', function (Blueprint $table): void {
            $table->string('centred_on', 40)->nullable();
        });
        Schema::table('parts', function (Blueprint $table): void {
            $table->boolean('both_hands')->default(false);
        });
        Schema::table('operations', function (Blueprint $table): void {
            $table->double('spent_min')->nullable();
            $table->string('running_since', 40)->nullable();
        });
        Schema::table('jobs', function (Blueprint $table): void {
            $table->json('plan')->nullable();
        });
    }
};
