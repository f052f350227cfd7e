<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What is typed among a million names, and the first of a hundred thousand ranked accounts, are found without looking
 * at all of them.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('contacts', function (Blueprint $table): void {
            $table->index(['last_name', 'first_name']);
            $table->index(['first_name', 'last_name']);
        });
        Schema::table('standings', function (Blueprint $table): void {
            $table->index(['offer_id', 'state', 'points']);
            $table->dropIndex(['offer_id', 'state']);
        });
    }

    public function down(): void
    {
        Schema::table('standings', function (Blueprint $table): void {
            $table->index(['offer_id', 'state']);
            $table->dropIndex(['offer_id', 'state', 'points']);
        });
        Schema::table('contacts', function (Blueprint $table): void {
            $table->dropIndex(['last_name', 'first_name']);
            $table->dropIndex(['first_name', 'last_name']);
        });
    }
};
