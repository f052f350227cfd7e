<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Words in several languages take more than 64 KB.
        DB::statement("ALTER TABLE rule_sets ADD angles LONGTEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(angles))");
    }

    public function down(): void
    {
        Schema::table('rule_sets', fn (Blueprint $table) => $table->dropColumn('angles'));
    }
};
