<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Oldpart\Core\Exchange\OlderJobFile;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('shops', function (Blueprint $table): void {
            $table->double('rate_per_h')->default(40);
            $table->string('currency', 8)->default('€');
        });
        Schema::table('parts', function (Blueprint $table): void {
            $table->string('form', 10)->default('turned');
            $table->json('hardness')->nullable();
            $table->json('tests')->default('{}');
        });
        Schema::table('surfaces', function (Blueprint $table): void {
            $table->text('role')->nullable()->change();
            $table->string('criticality', 20)->default('fit');
            $table->string('condition', 20)->nullable();
            $table->boolean('datum')->default(false);
            foreach (['size', 'size2', 'at', 'long', 'x', 'y', 'pitch'] as $length) {
                $table->json($length)->nullable();
            }
            $table->unsignedInteger('count')->nullable();
            $table->string('hand', 10)->nullable();
            $table->double('angle_deg')->nullable();
            $table->string('source', 20)->nullable();
            $table->json('sketch')->nullable();
        });
        $this->facts('evidence', function (Blueprint $table): void {
            $table->string('kind', 30);
            $table->text('note');
        });
        $this->facts('photos', function (Blueprint $table): void {
            $table->text('note');
            $table->string('surface', 40)->nullable();
            $table->double('x')->nullable();
            $table->double('y')->nullable();
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->string('taken_at', 40)->nullable();
        });
        $this->facts('operations', function (Blueprint $table): void {
            $table->text('name');
            $table->double('setup_min');
            $table->double('run_min');
        });
        $this->facts('costs', function (Blueprint $table): void {
            $table->string('kind', 20);
            $table->text('name');
            $table->double('amount')->nullable();
            $table->boolean('each_piece');
            $table->double('price_per_kg')->nullable();
            $table->double('mass_kg')->nullable();
        });
        Schema::table('jobs', function (Blueprint $table): void {
            $table->json('quote')->nullable();
            $table->json('waits')->nullable();
            $table->timestamp('archived_at')->nullable();
            $table->timestamp('binned_at')->nullable();
        });
        // What the bench and Find read instead of evaluating every job; made anew from the facts at any time.
        Schema::create('indexed_jobs', function (Blueprint $table): void {
            $table->string('job_id', 40)->primary();
            $table->string('state', 10);
            $table->string('shelf', 10);
            $table->string('sort', 40);
            $table->json('row');
            $table->text('words');
            $table->index(['shelf', 'state', 'sort']);
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
        });
        Schema::create('indexed_surfaces', function (Blueprint $table): void {
            $table->id();
            $table->string('job_id', 40)->index();
            $table->string('surface_id', 40);
            $table->text('name');
            $table->text('part');
            $table->boolean('made');
            $table->double('size_mm')->index();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
        });
        $this->bringForward();
    }

    /** Jobs stored before this. */
    private function bringForward(): void
    {
        DB::table('surfaces')->whereNotIn('role', ['locates', 'carries', 'seals', 'turns', 'only clears'])->update(['role' => null]);
        foreach (DB::table('jobs')->get() as $job) {
            $new = OlderJobFile::upgraded((object) ['version' => 1, 'take_in' => json_decode((string) $job->take_in), 'shop' => json_decode((string) $job->shop)]);
            DB::table('jobs')->where('id', $job->id)->update(['take_in' => json_encode($new->take_in), 'shop' => json_encode($new->shop), 'quote' => json_encode($new->quote)]);
        }
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
