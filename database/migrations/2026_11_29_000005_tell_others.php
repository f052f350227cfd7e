<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Addresses of the team's own that are told of new reasons and results; what is told is read when it is sent. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('event_targets', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 100);
            $table->string('address', 500);
            $table->text('secret')->nullable();
            $table->boolean('paused')->default(false);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
        });
        Schema::create('event_deliveries', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('event_target_id')->constrained()->cascadeOnDelete();
            $table->string('type', 20);
            $table->unsignedBigInteger('subject_id');
            $table->unsignedSmallInteger('tries')->default(0);
            $table->string('state', 10)->default('waits');
            $table->string('problem', 500)->nullable();
            $table->timestamp('next_at')->nullable();
            $table->timestamp('created_at')->nullable();
            $table->index(['state', 'next_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('event_deliveries');
        Schema::dropIfExists('event_targets');
    }
};
