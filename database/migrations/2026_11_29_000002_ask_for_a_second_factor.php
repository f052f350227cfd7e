<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->text('second_factor')->nullable();
            // The step of the last code that counted: none counts twice.
            $table->unsignedBigInteger('second_factor_step')->nullable();
            $table->dateTime('second_factor_at')->nullable();
            $table->text('recovery_codes')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn([
            'second_factor', 'second_factor_step', 'second_factor_at', 'recovery_codes',
        ]));
    }
};
