<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('rule_sets', function (Blueprint $table): void {
            // What completes us and what we replace; topics with their queries.
            $table->json('technologies')->default('{}');
            $table->json('topics')->default('[]');
        });
    }

    public function down(): void
    {
        Schema::table('rule_sets', fn (Blueprint $table) => $table->dropColumn(['technologies', 'topics']));
    }
};
