<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When something was computed last is asked for every few seconds by whoever watches. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('standings', function (Blueprint $table): void {
            $table->index('computed_at');
        });
    }

    public function down(): void
    {
        Schema::table('standings', function (Blueprint $table): void {
            $table->dropIndex(['computed_at']);
        });
    }
};
