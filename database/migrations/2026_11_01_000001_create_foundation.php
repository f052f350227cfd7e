<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->nullable()->unique();
            $table->string('password')->nullable();
            $table->string('role', 10)->default('rep');
            $table->boolean('signs_in')->default(true);
            $table->unsignedSmallInteger('pace')->default(20);
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        Schema::create('activity_log', function (Blueprint $table): void {
            $table->id();
            $table->string('log_name')->nullable()->index();
            $table->text('description');
            $table->nullableMorphs('subject', 'subject');
            $table->string('event')->nullable();
            $table->nullableMorphs('causer', 'causer');
            $table->json('properties')->nullable();
            $table->uuid('batch_uuid')->nullable();
            $table->timestamps();
        });

        Schema::create('offers', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('about')->nullable();
            $table->timestamps();
        });
        Schema::create('rule_sets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->json('criteria');
            $table->json('kinds');
            $table->foreignId('author_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('note')->nullable();
            $table->timestamps();
            $table->unique(['offer_id', 'version']);
        });
        Schema::create('cities', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 100);
            $table->string('folded', 100);
            $table->char('country', 2);
            $table->string('region', 80)->nullable();
            $table->double('latitude');
            $table->double('longitude');
            $table->unsignedInteger('population');
            $table->index(['folded', 'country']);
        });
    }

    public function down(): void
    {
        foreach (
            ['cities', 'rule_sets', 'offers', 'activity_log', 'failed_jobs', 'jobs', 'sessions', 'users'] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
