<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('lessons', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('prior_id')->constrained('rule_sets')->cascadeOnDelete();
            $table->boolean('accepted');
            $table->json('approaches');
            $table->json('lines');
            $table->double('log_odds');
            $table->timestamps();
        });
        Schema::table('rule_sets', function (Blueprint $table): void {
            $table->json('points')->default('{}');
            $table->foreignId('lesson_id')->nullable()->constrained()->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('rule_sets', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('lesson_id');
            $table->dropColumn('points');
        });
        Schema::drop('lessons');
    }
};
