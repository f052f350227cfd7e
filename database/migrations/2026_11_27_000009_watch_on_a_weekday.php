<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('watches', function (Blueprint $table): void {
            // From 1, Monday; for those that run weekly.
            $table->unsignedTinyInteger('weekday')->default(1)->after('rhythm');
        });
    }

    public function down(): void
    {
        Schema::table('watches', fn (Blueprint $table) => $table->dropColumn('weekday'));
    }
};
