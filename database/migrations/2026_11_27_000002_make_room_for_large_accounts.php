<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Thousands of people or signals of one account are more than 64 KB.
        Schema::table('standings', function (Blueprint $table): void {
            $table->mediumText('criteria')->change();
            $table->mediumText('lines')->change();
            $table->mediumText('contacts')->nullable()->change();
        });
        foreach (['lists', 'watches'] as $searches) {
            Schema::table($searches, fn (Blueprint $table) => $table->mediumText('search')->change());
        }
    }

    public function down(): void
    {
        // What is longer by then would be cut.
    }
};
