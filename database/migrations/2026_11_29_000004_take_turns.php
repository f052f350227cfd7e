<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whose turn something is that one does at a time; locks of one database are no locks of a cluster. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('turns', function (Blueprint $table): void {
            $table->string('of', 60)->primary();
            $table->string('owner', 24);
            $table->unsignedBigInteger('until');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('turns');
    }
};
