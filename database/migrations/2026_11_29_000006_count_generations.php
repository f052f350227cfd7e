<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Each machine derives an index of its own for the Finder, and knows by another number that it is behind. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('finder_generation', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('number');
        });
        DB::table('finder_generation')->insert(['id' => 1, 'number' => 1]);
    }

    public function down(): void
    {
        Schema::dropIfExists('finder_generation');
    }
};
