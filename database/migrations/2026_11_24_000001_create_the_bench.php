<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('shops', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->string('name');
            $table->double('temperature_c');
            $table->double('lathe_holds_mm');
            $table->double('rough_cut_mm');
            $table->double('press_n');
            $table->string('unit', 2);
            $table->timestamps();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->unsignedInteger('version')->default(1);
            $table->text('machine');
            $table->text('part');
            $table->string('kind', 40);
            $table->string('unit', 2);
            $table->json('take_in');
            $table->json('shop');
            $table->json('hand_over');
            $table->timestamps();
        });
        $this->facts('parts', function (Blueprint $table): void {
            $table->text('name');
            $table->string('origin', 10);
            $table->text('material')->nullable();
        });
        $this->facts('surfaces', function (Blueprint $table): void {
            $table->string('part', 40);
            $table->text('name');
            $table->string('kind', 10);
            $table->text('role');
            $table->json('stations');
            $table->json('angles');
        });
        $this->facts('readings', function (Blueprint $table): void {
            $table->string('surface', 40);
            $table->text('station');
            $table->text('angle');
            $table->json('value');
            $table->json('was')->nullable();
            $table->string('instrument', 40);
            $table->double('part_c')->nullable();
            $table->double('gauge_c')->nullable();
            $table->boolean('worn')->nullable();
            $table->text('set_aside')->nullable();
            $table->text('remark')->nullable();
            $table->string('taken_at', 40)->nullable();
        });
        $this->facts('joints', function (Blueprint $table): void {
            $table->text('name');
            $table->string('inner', 40);
            $table->string('outer', 40);
            $table->string('along', 40)->nullable();
            $table->string('purpose', 40);
            $table->string('school', 10)->nullable();
            $table->json('least')->nullable();
            $table->json('most')->nullable();
            $table->text('reason');
            $table->double('needs_torque_nm')->nullable();
            $table->boolean('finish_in_place')->nullable();
        });
        $this->facts('cuts', function (Blueprint $table): void {
            $table->string('surface', 40);
            $table->string('phase', 10);
            $table->json('dialled')->nullable();
            $table->json('after');
            $table->string('instrument', 40);
            $table->double('part_c')->nullable();
            $table->text('set_aside')->nullable();
            $table->string('at', 40)->nullable();
        });
        $this->facts('ticks', function (Blueprint $table): void {
            $table->string('code', 60);
            $table->string('at', 40)->nullable();
            $table->text('remark')->nullable();
        });
        Schema::create('changes', function (Blueprint $table): void {
            $table->id();
            $table->string('job_id', 40)->index();
            $table->string('request', 60)->nullable()->unique();
            $table->unsignedInteger('version');
            $table->string('list', 20);
            $table->string('thing', 40);
            $table->json('before')->nullable();
            $table->json('after')->nullable();
            $table->boolean('undone')->default(false);
            $table->timestamps();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
        });
    }

    /** Things of a job: an id of their own, the job, and their place in its list. */
    private function facts(string $name, callable $columns): void
    {
        Schema::create($name, function (Blueprint $table) use ($columns): void {
            $table->string('id', 40)->primary();
            $table->string('job_id', 40)->index();
            $table->unsignedInteger('place');
            $columns($table);
            $table->timestamps();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
        });
    }
};
