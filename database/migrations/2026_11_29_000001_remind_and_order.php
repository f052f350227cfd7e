<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('asks', function (Blueprint $table): void {
            $table->unsignedTinyInteger('reminders')->default(0)->after('remind_on');
            $table->dateTime('reminded_at')->nullable()->after('reminders');
        });
    }

    public function down(): void
    {
        Schema::table('asks', fn (Blueprint $table) => $table->dropColumn(['reminders', 'reminded_at']));
    }
};
