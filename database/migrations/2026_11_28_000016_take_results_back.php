<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What a result corrected, as it was before, so that it can be taken back.
        Schema::table('approaches', fn (Blueprint $table) => $table->json('corrected')->nullable());
    }

    public function down(): void
    {
        Schema::table('approaches', fn (Blueprint $table) => $table->dropColumn('corrected'));
    }
};
