<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('candidates', function (Blueprint $table): void {
            $table->id();
            $table->string('profile', 190);
            // Two profiles may differ by an accent, which the collation does not see.
            $table->char('profile_key', 40)->charset('ascii')->collation('ascii_bin')->unique();
            $table->string('name', 201);
            $table->string('company', 190)->nullable();
            $table->string('title', 255)->nullable();
            $table->timestamps();
        });
        Schema::create('candidate_deeds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('candidate_id')->constrained()->cascadeOnDelete();
            $table->string('link', 190)->collation('utf8mb4_bin');
            $table->string('deed', 12)->charset('ascii')->collation('ascii_bin');
            $table->dateTime('occurred_at');
            $table->string('topic', 190)->nullable();
            $table->text('quote')->nullable();
            $table->string('source', 80)->nullable();
            $table->unique(['candidate_id', 'link']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('candidate_deeds');
        Schema::dropIfExists('candidates');
    }
};
