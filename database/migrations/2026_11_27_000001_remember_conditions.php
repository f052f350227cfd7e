<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // The conditions that somebody added last in the Finder, which are offered first.
        Schema::table('users', fn (Blueprint $table) => $table->json('recent_conditions')->nullable());
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('recent_conditions'));
    }
};
